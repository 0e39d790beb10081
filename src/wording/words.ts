import type { StageKind, Style } from '@/core/formula';
import type { Family, Role } from '@/core/ingredients';
import type { StepKind } from '@/core/method';
import type { MeasureSystem } from '@/core/quantity';

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

export const FAMILY_WORD: Record<Family, string> = {
  grainFlour: 'Grain flours',
  pseudoCereal: 'Pseudo-cereals',
  pulse: 'Pulses',
  tuberOrNut: 'Tubers and nuts',
  starch: 'Starches',
  seed: 'Seeds',
  binder: 'Binders',
  liquid: 'Liquids',
  eggAndDairy: 'Eggs and dairy',
  fat: 'Fats',
  sweet: 'Sweet things',
  leaven: 'Leavens',
  seasoning: 'Seasonings and acids',
  inclusion: 'Fruit and bits',
  culture: 'Wild starters',
};

/** Whose cups: a short word for a switch, and the whole of it for who hears it. */
export const MEASURE_WORD: Record<MeasureSystem, { readonly label: string; readonly name: string }> = {
  metric: { label: 'metric cups', name: 'Metric cups of 250 ml, European egg sizes' },
  us: { label: 'US cups', name: 'US cups of 237 ml, US egg sizes' },
  imperial: { label: 'imperial', name: 'Imperial cups of 284 ml, European egg sizes' },
};

export const AGAIN_WORD = { yes: 'Yes, as it is', changed: 'Yes, with a change', no: 'No' } as const;
