'use client';
import { Sparkles } from 'lucide-react';
import type { Shared } from '@/core/day/shared';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/bench/CleanDown';
import type { Bench } from './useBench';

/** In a kitchen that is shared, what is cleaned before the first flour comes out; that it was is kept with the bake. */
export function CleanDown({ shared: { wheat, apart, own }, bench: { state, tap } }: { shared: Shared; bench: Bench }) {
  if ((wheat.length === 0 && apart.length === 0) || state.cleanedAtMs !== null) return null;
  // what is in the bowl already is past it
  if (state.weighed.size > 0 || state.parts.size > 0) return null;
  return (
    <section className="mb-3 rounded-xl border-2 border-alarm bg-alarm-wash px-4 py-3" aria-label={words.title} data-testid="clean-down">
      <p className="flex items-center gap-2 text-2xl font-semibold">
        <Sparkles size={24} aria-hidden className="shrink-0 text-alarm" />
        {words.title}
      </p>
      <ul className="mt-1 flex flex-wrap gap-x-5 text-lg">
        {words.everything.map((each) => <li key={each}>{each}</li>)}
      </ul>
      {own.length > 0 && <p className="text-lg font-semibold">{words.own} {own.map((tool) => words.tools[tool]).join(', ')}</p>}
      <Button look="strong" size="bench" className="mt-2 w-full sm:w-auto" onClick={() => tap({ type: 'cleanedDown' })}>{words.done}</Button>
    </section>
  );
} // prettier-ignore
