'use client';
import { Flame } from 'lucide-react';
import { PROOF_MOST_C } from '@/core/day/proofWarmth';
import type { DayCallOut } from '@/core/day/agenda';
import { words } from '@/wording/screens/home/HomePage';
import { useDayValue, useDayWords } from '../day/DayContext';

/** Each oven of the day as it should be now: cold until it is lit, heating, baking what until when. */
export function OvenNow({ calls }: { calls: readonly DayCallOut[] }) {
  const { nowMs, ovens } = useDayValue();
  const say = useDayWords();
  const lines = ovens.flatMap(({ id, name }) => {
    const bakes = calls.flatMap((call) => (call.kind === 'block' && call.ovenId === id ? [call] : []));
    const baking = bakes.find(({ atMs, untilMs }) => atMs <= nowMs && untilMs > nowMs);
    const next = bakes.find(({ atMs }) => atMs > nowMs);
    if (baking) return [{ name, on: true, text: (baking.setC ?? 0) <= PROOF_MOST_C ? words.ovenRises(say.batch(baking.batchId), say.clock(baking.untilMs)) : words.ovenBakes(say.batch(baking.batchId), say.clock(baking.untilMs)) }];
    if (!next) return [];
    const lit = calls.findLast((call) => call.kind === 'light' && call.ovenId === id && call.atMs <= next.atMs);
    if (lit && lit.atMs > nowMs) return [{ name, on: false, text: words.ovenCold(say.at(lit.atMs)) }];
    return [{ name, on: true, text: words.ovenHot(next.setC === null ? '' : say.temp(next.setC), say.at(next.atMs)) }];
  });
  if (lines.length === 0) return null;
  return (
    <ul className="mb-4 flex flex-wrap gap-x-8 gap-y-1 text-lg" data-testid="ovens-now">
      {lines.map(({ name, on, text }) => (
        <li key={name} className="flex items-center gap-2">
          <Flame size={20} aria-hidden className={on ? 'text-alarm' : 'text-soft'} />
          <strong>{name}</strong> {text}
        </li>
      ))}
    </ul>
  );
} // prettier-ignore
