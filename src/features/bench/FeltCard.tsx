'use client';
import { Hand } from 'lucide-react';
import { useState } from 'react';
import { feltWrong, type BakeRecord } from '@/core/bake';
import { Button } from '@/ui/Button';
import { useSteady } from '@/ui/useSteady';
import { BAND_WORD } from '@/wording/bands';
import { words } from '@/wording/screens/bench/FeltCard';
import { useBook } from '../book/BookProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

/** The hand says that the dough is wetter or drier than it was meant to be: what of its own brings it there, by one press. */
export function FeltCard({ sheet, stepId, bench: { state, tap } }: { sheet: BakeRecord['sheet']; stepId: string; bench: Bench }) {
  const units = useUnits();
  const book = useBook();
  const steady = useSteady(true);
  const [left, setLeft] = useState<number | null>(null);
  const feeling = state.feelings.find((each) => each.stepId === stepId);
  const wrong = feeling && feeling.atMs !== left ? feltWrong(sheet, state, book) : null;
  // of the step that is on the screen: what was felt before it is past
  if (!wrong || !feeling || feeling.band !== wrong.felt) return null;
  const { felt, meant, isWetter, mend } = wrong;
  const lines = sheet.stages.flatMap((stage) => stage.lines);
  const nameOf = (lineId: string): string => (lines.find(({ id }) => id === lineId)?.name ?? '').toLowerCase();
  const moves = mend.moves.map(({ lineId, byG }) => words.move(units.mass(Math.abs(byG)), nameOf(lineId))).join(words.and);
  const take = () =>
    tap({ type: 'mended', lineId: mend.targets[0]!.lineId, by: mend.by, targets: mend.targets.map(({ lineId, massG }) => ({ lineId, massG: Math.round(massG * 100) / 100 })) });
  return (
    <section aria-label={words.title} className="mt-5 rounded-xl border-2 border-alarm bg-surface p-4" data-testid="felt-wrong">
      <p className="flex gap-2 text-xl leading-snug">
        <Hand size={24} aria-hidden className="mt-0.5 shrink-0 text-alarm" />
        {(isWetter ? words.wetter : words.drier)(BAND_WORD[felt].short, BAND_WORD[meant].short)}
      </p>
      <Button look="now" size="bench" disabled={!steady} className="mt-3 w-full flex-col gap-0 py-2 disabled:opacity-100" onClick={take}>
        <span className="text-2xl">{words.workIn(moves)}</span>
        <span className="text-base font-normal">{words.how}</span>
      </Button>
      <Button size="bench" className="mt-2 w-full" onClick={() => setLeft(feeling.atMs)}>{words.leave}</Button>
    </section>
  );
} // prettier-ignore
