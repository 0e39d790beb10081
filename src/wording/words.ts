import type { BlockKind } from '@/core/day/blockKind';
import type { StageKind, Style, Way } from '@/core/formula';
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
  preDough: 'Pre-dough',
  late: 'Late additions',
  wash: 'Wash',
  topping: 'Topping',
  filling: 'Filling',
  sauce: 'Sauce',
  glaze: 'Glaze',
  dip: 'Dip',
  kettle: 'Kettle',
  oil: 'Frying oil',
  steam: 'Steam water',
  dusting: 'Dusting',
  grease: 'Greasing',
};

/** What becomes of pieces that are not eaten fresh. */
export const PUT_BY_WORD: Record<NonNullable<Way['putBy']>['as'], string> = {
  frozenRaw: 'frozen as dough',
  frozen: 'frozen',
  parBaked: 'par-baked',
  kept: 'kept',
};

/** Until when what is put by is good. */
export const bestUntil = (day: string, isPast: boolean): string =>
  `${isPast ? 'was best' : 'best'} until ${day}`;

/** Where what is left over is kept. */
export const KEPT_WORD = { room: 'in the room', fridge: 'in the fridge', freezer: 'in the freezer' } as const;

export const STEP_WORD: Record<StepKind, string> = {
  weigh: 'Weigh',
  bloom: 'Bloom',
  soak: 'Soak',
  preDough: 'Pre-dough',
  mix: 'Mix',
  kneadAgain: 'Knead again',
  rest: 'Rest',
  bulk: 'Bulk',
  fold: 'Fold',
  knockBack: 'Knock back',
  divide: 'Divide',
  shape: 'Shape',
  fill: 'Fill',
  proof: 'Proof',
  chill: 'Cold hold',
  freeze: 'Freeze',
  thaw: 'Thaw',
  grease: 'Grease',
  preheat: 'Preheat',
  score: 'Score',
  top: 'Top',
  boil: 'Boil',
  griddle: 'Griddle',
  fry: 'Fry',
  bake: 'Bake',
  turn: 'Turn',
  rotate: 'Rotate',
  coast: 'Coast',
  cool: 'Cool',
  wrap: 'Wrap',
  hold: 'Hold',
  reheat: 'Reheat',
  refresh: 'Refresh',
  free: 'Do',
};

/** What the day says of its blocks: steps, and the feed before them. */
export const BLOCK_WORD: Record<BlockKind, string> = { ...STEP_WORD, feed: 'Feed the starter' };

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

/** What stands beside the grams. */
export const BESIDE_WORD = {
  said: 'beside weights: as the recipe says',
  spoons: 'beside weights: cups, spoons, eggs',
  nothing: 'weights alone',
} as const;

export const AGAIN_WORD = { yes: 'Yes, as it is', changed: 'Yes, with a change', no: 'No' } as const;
