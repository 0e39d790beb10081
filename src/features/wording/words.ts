import type { StageKind, Style } from '@/core/formula';
import type { Role } from '@/core/ingredients';
import type { StepKind } from '@/core/method';

/** The craft's word for each thing the core has a name for. */
export const STYLE_WORD: Record<Style, string> = {
  tinLoaf: 'Tin loaf',
  hearthLoaf: 'Hearth loaf',
  baguette: 'Baguette or baton',
  rolls: 'Rolls and buns',
  pizza: 'Pizza',
  flatbread: 'Flatbread',
  boiledRing: 'Boiled ring',
  friedDough: 'Fried dough',
  cheeseBuns: 'Cheese-and-starch buns',
  crackers: 'Crispbread and crackers',
};

export const STAGE_WORD: Record<StageKind, string> = {
  starter: 'Starter',
  soaker: 'Soaker',
  scald: 'Scald',
  gel: 'Gel',
  bloom: 'Bloom',
  main: 'Main dough',
  late: 'Late additions',
  topping: 'Wash or topping',
};

export const STEP_WORD: Record<StepKind, string> = {
  weigh: 'Weigh',
  bloom: 'Bloom',
  mix: 'Mix',
  rest: 'Rest',
  bulk: 'Bulk',
  fold: 'Fold',
  divide: 'Divide',
  shape: 'Shape',
  proof: 'Proof',
  chill: 'Cold hold',
  preheat: 'Preheat',
  score: 'Score',
  boil: 'Boil',
  griddle: 'Griddle',
  fry: 'Fry',
  bake: 'Bake',
  rotate: 'Rotate',
  coast: 'Coast',
  cool: 'Cool',
  free: 'Do',
};

export const ROLE_WORD: Record<Role, string> = {
  flour: 'flour',
  starch: 'starch',
  seedMeal: 'seed or nut meal',
  binder: 'binder',
  liquid: 'liquid',
  egg: 'egg',
  sweet: 'sweet',
  fat: 'fat',
  salt: 'salt',
  leaven: 'leaven',
  acid: 'acid',
  flavour: 'flavour',
  inclusion: 'seeds and bits',
  starter: 'starter',
};

/** "12.5 %", a dash where there is no flour to be a percentage of. */
export const wordPercent = (percent: number | null, places = 1): string =>
  percent === null ? '–' : `${percent.toFixed(places)} %`;

export const AGAIN_WORD = { yes: 'Yes, as it is', changed: 'Yes, with a change', no: 'No' } as const;
