'use client';
import { Eye, FlaskConical } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { isLookedAt, isStepDone, isTold, passesOf, type BakeRecord, type Round } from '@/core/bake';
import { timerS, type MethodStep } from '@/core/method';
import { formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/bench/Round';
import { AfterLook } from './AfterLook';
import { loadName } from './Round';
import type { Bench } from './useBench';

export const loadLook = () => import('./LookDialog').then((module) => module.LookDialog);
const LookDialog = dynamic(patiently(loadLook), { ssr: false });

interface TrialProps {
  readonly sheet: BakeRecord['sheet'];
  readonly step: MethodStep;
  readonly round: Round | null;
  readonly bench: Bench;
}

/** One piece is in to see; out again, what it was like is the one thing to say. */
export function TrialOut({ sheet, step, bench: { state, tap } }: Omit<TrialProps, 'round'>) {
  const [asks, setAsks] = useState(false);
  const passes = passesOf(sheet, step.id);
  const onceS = timerS(step);
  return (
    <>
      <p className="text-2xl font-semibold">
        {words.trial(state.trials.get(step.id) ?? 1)}
        {passes > 1 && onceS !== null && <span className="block text-xl font-normal">{words.turnEvery(formatDuration(onceS))}</span>}
      </p>
      <Button look="now" size="wall" data-primary data-stays onClick={() => setAsks(true)}>
        <Eye size={28} aria-hidden />
        {words.trialOut}
      </Button>
      {asks && <LookDialog stepId={step.id} what={words.theTrial} tap={tap} onClose={() => setAsks(false)} />}
    </>
  );
} // prettier-ignore

/** Beside what is baked, fried or browned on a plate: one piece first, how the load before came out, and what both say for the rest. */
export function Trial({ sheet, step, round, bench }: TrialProps) {
  const { state, tap } = bench;
  const [asks, setAsks] = useState<{ readonly stepId: string; readonly what: string } | null>(null);
  if (!isLookedAt(step) || state.trials.has(step.id)) return null;
  const isIn = state.steps.get(step.id)?.timer != null || isStepDone(state, step.id);
  const pieces = sheet.activities?.find(({ id }) => id === step.id)?.pieces ?? sheet.pieces.count;
  const isFirst = !isIn && (round === null || round.at === 0) && !state.looks.some(({ stepId }) => stepId === step.id);
  const onceS = timerS(step);
  const before = round?.calls.slice(0, round.at).findLast((each) => each.state === 'done' && each.call.load?.at !== round.calls[round.at]!.call.load?.at);
  return (
    <div className="mt-4 grid gap-3 empty:hidden">
      {isFirst && pieces > 1 && onceS !== null && isTold(sheet, step.id) && (
        <Button size="bench" onClick={() => tap({ type: 'trialBegun', stepId: step.id, pieces: 1, durationS: passesOf(sheet, step.id) * onceS })}>
          <FlaskConical size={20} aria-hidden />
          {words.oneFirst}
        </Button>
      )}
      {before && !before.look && isLookedAt(before.step) && (
        <Button size="bench" onClick={() => setAsks({ stepId: before.step.id, what: loadName(before) })}>
          <Eye size={20} aria-hidden />
          {words.howWas(loadName(before))}
        </Button>
      )}
      <AfterLook sheet={sheet} bench={bench} stepId={step.id} />
      {asks && <LookDialog stepId={asks.stepId} what={asks.what} tap={tap} onClose={() => setAsks(null)} />}
    </div>
  );
} // prettier-ignore
