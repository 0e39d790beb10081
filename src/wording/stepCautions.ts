import type { StepCaution } from '@/core/bake';

/** Beside the step it concerns, short enough to be read with something hot in hand. */
export const STEP_CAUTION_WORD: Readonly<Record<StepCaution, string>> = {
  lye: 'Lye: goggles, gloves, long sleeves. Lye into cold water, never water into lye; nobody else in the room.',
  hotOil: 'Never leave hot oil; a third of the pot at the most, its lid beside it, no water near. Top it up between loads and let it come back; oil that is dark or foams has been used too often.',
  boilingSugar: 'The bath sticks and burns deeper than water: lower pieces in with a skimmer.',
  hotLid: 'The lid is as hot as the oven, and steam comes from under it: open it away from you, and mark it hot.',
  steam: 'Steam comes out of the door first: stand aside, arms covered. No cold water on hot glass.',
  rawDough: 'Raw dough is not for tasting; wash hands and board after it.',
  warmLong: 'Egg or dairy stays warm for long here: keep to the time, or let it rise in the cold.',
  cutWhenSet: 'Not hot: it is cut when it has set, or it stays gummy.',
}; // prettier-ignore
