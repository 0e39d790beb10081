import { BEYOND_RIM_PERCENT, tinNow, type BakeState } from '@/core/bake';
import { isRising, type MethodStep } from '@/core/method';
import { grownWord } from '@/wording/rise';
import { words } from '@/wording/screens/bench/CourseDialog';

/** The tin it goes into, where that is not the one that was planned; while it rises, when it is at the rim. */
export function TinNow({ step, state }: { step: MethodStep; state: BakeState }) {
  const tin = tinNow(state);
  if (!tin || !(step.kind === 'shape' || step.kind === 'bake' || isRising(step))) return null;
  return (
    <p className="mt-4 text-xl leading-snug" data-testid="tin-now">
      <strong>{words.inTin(tin.name)}</strong>
      {isRising(step) && tin.rimPercent <= BEYOND_RIM_PERCENT && `: ${words.rim(grownWord(tin.rimPercent))}`}
    </p>
  );
}
