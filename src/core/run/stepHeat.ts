import type { Moisture, PlateKind } from '../method/heating';
import type { MethodStep } from '../method/step';

export interface StepHeat {
  readonly moist: Moisture;
  readonly on: PlateKind | null;
  readonly inTin: boolean;
  readonly topped: boolean;
}

const says = (step: MethodStep, words: RegExp): boolean =>
  words.test(`${step.title} ${step.note}`.toLowerCase());

/**
 * How a step heats: what the baker set, else what its words say ("lid on", "with steam", "on the stone"), else as the one before.
 * Only words that leave no doubt are read; the sheet shows what was taken, to be changed in one touch.
 */
export function stepHeat(step: MethodStep, before: StepHeat, steps: readonly MethodStep[]): StepHeat {
  const { heat } = step;
  const hot = steps.filter((each) => each.kind === 'preheat');
  const named = (words: RegExp) => says(step, words) || hot.some((each) => says(each, words));
  const plate: PlateKind | null = named(/\b(iron|cast.?iron|pot|dutch|casserole)\b/)
    ? 'castIron'
    : named(/\bstone\b/)
      ? 'stone'
      : named(/\bsteel\b/)
        ? 'steel'
        : before.on;
  const moist: Moisture = says(step, /\b(lid on|lidded|cover(ed)? (with|by))\b/)
    ? 'lid'
    : says(step, /\b(lid off|uncover(ed)?|steam out|water out)\b/)
      ? 'dry'
      : says(step, /\b(steam|tray of water)\b/)
        ? 'steam'
        : step.kind === 'bake' && before.moist !== 'lid'
          ? 'dry'
          : before.moist;
  return {
    moist: heat?.moist ?? moist,
    on: heat?.on === undefined ? (step.kind === 'griddle' ? 'griddle' : plate) : heat.on,
    inTin: heat?.inTin ?? (before.inTin && !says(step, /\bout of (the|its) tin\b/)),
    topped: heat?.topped ?? says(step, /\b(topped|sauce|topping)\b/),
  };
}
