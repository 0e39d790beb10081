'use client';
import { alikeOpen, asSetAnew, isTold, passesOf, trialAnswer, type BakeRecord } from '@/core/bake';
import { formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/bench/Round';
import { useState } from 'react';
import { useStoredKit } from '../kit/KitProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

interface AfterLookProps {
  readonly sheet: BakeRecord['sheet'];
  readonly bench: Bench;
  /** Of what is still to go in. */
  readonly stepId: string;
}

/** What a first load, or a trial, says for the rest: their time, and their heat where it changes, done by one press. */
export function AfterLook({ sheet, bench: { state, tap }, stepId }: AfterLookProps) {
  const units = useUnits();
  const { altitudeM } = useStoredKit().kit;
  const [left, setLeft] = useState<number | null>(null);
  const of = (id: string) => sheet.activities?.find((each) => each.id === id)?.stepId ?? id;
  const look = state.looks.findLast((each) => of(each.stepId) === of(stepId));
  const stepIds = alikeOpen(sheet, state, look?.stepId ?? stepId);
  // it was answered already, or it was of pieces that were in when it was
  const answeredAtMs = Math.max(-Infinity, ...stepIds.map((id) => state.anew.get(id)?.atMs ?? -Infinity));
  const looked = look && sheet.steps.find(({ id }) => id === look.stepId);
  const loads = new Set(stepIds.map((id) => sheet.activities?.find((each) => each.id === id)?.load?.at)).size;
  if (!look || !looked || !isTold(sheet, looked.id) || stepIds.length === 0 || answeredAtMs >= look.atMs || left === look.atMs) return null;
  // a trial was in for all its sides, a load is looked at after its last
  const tookS = look.trialOf === null ? look.tookS : look.tookS / passesOf(sheet, looked.id);
  const answer = trialAnswer({ ...look, tookS }, asSetAnew(looked, state), altitudeM);
  if (!answer) return null;
  const { durationS, leastS, mostS, tempC, shortC } = answer;
  const why = [
    shortC === null ? null : (shortC > 0 ? words.short : words.over)(units.degrees(Math.abs(shortC))),
    look.colour === 'pale' ? words.wasPale : look.colour === 'dark' ? words.wasDark : null,
  ].filter(Boolean);
  return (
    <section className="mt-5 rounded-xl border-2 border-now bg-surface p-4" data-testid="after-look" aria-label={words.theRest(loads)}>
      <p className="text-lg text-soft">{words.theRest(loads)}</p>
      <p className="flex flex-wrap items-baseline gap-x-5">
        <span className="figure text-6xl">{formatDuration(durationS)}</span>
        {tempC !== null && <span className="figure text-5xl">{units.temperature(tempC)}</span>}
        {leastS < mostS && <span className="text-lg text-soft">{words.from(formatDuration(leastS), formatDuration(mostS))}</span>}
      </p>
      <p className="mt-1 text-lg">{why.join(', ')}</p>
      <div className="mt-3 grid gap-2 sm:grid-cols-2">
        <Button look="now" size="bench" onClick={() => tap({ type: 'setAnew', stepIds, durationS, tempC })}>{words.setSo}</Button>
        <Button size="bench" onClick={() => setLeft(look.atMs)}>{words.leave}</Button>
      </div>
    </section>
  );
} // prettier-ignore
