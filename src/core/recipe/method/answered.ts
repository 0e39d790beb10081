import { newStep, stepTempRangeC, type MethodStep } from '../../method/step';
import { fieldsFromWords } from '../../process/fromWords';
import type { StepAsk } from './draft';

/**
 * A step as its sentence was meant. Where what is done was open, its words are read anew for what such a step says: what was read of them for another
 * kind goes, whether hands are busy follows it, and a heat that such a step cannot have is no heat of it.
 */
export function answered(
  step: MethodStep,
  meant: StepAsk['readings'][number] | undefined,
  steps: readonly MethodStep[],
): MethodStep {
  if (!meant) return step;
  const { kind = step.kind } = meant;
  if (kind === step.kind) return { ...step, ...meant };
  const { heat: _, cue: __, stands: ___, ...plain } = step;
  const { min, max } = stepTempRangeC(kind);
  const fits = step.tempC !== null && step.tempC >= min && step.tempC <= max;
  const bare: MethodStep = {
    ...plain,
    handsOn: newStep(kind, step.id).handsOn,
    tempC: fits ? step.tempC : null,
    ...meant,
    kind,
  };
  return fieldsFromWords(bare, steps, true);
}
