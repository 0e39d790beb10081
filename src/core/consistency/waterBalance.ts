import { isDoughStage, type Formula, type StageKind } from '../formula/formula';
import { takeApart, type Part } from '../formula/takeApart';
import { isFlourBase, type Estimate, type Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { repeated } from '../method/methodTime';
import type { MethodStep } from '../method/step';
import { Z80 } from '../numeric/normal';
import { FIGURES, knownTo, type Figures } from '../calibrated';
import { BINDERS_ABSORB_AS, CONSISTENCY, WHOLE_FROM_FIBRE, type AbsorbsAs } from './parameters';

/** One powder's wish for water. */
export interface WaterDemand {
  readonly ingredientId: string;
  readonly massG: number;
  /** All it will take in the end beside the others, g, and the sd of its own absorption. */
  readonly demandG: number;
  readonly sdG: number;
  /** The bought mixture it is in, which absorbs as a whole; null: weighed by itself. */
  readonly bag: Bag | null;
  /** How the whole demand moves with this powder's absorption: its part of the demand to first order, g. They add up to the demand. */
  readonly pullG: number;
  /** Share that it takes as it wets, and the time constant of the rest, which swells, min. */
  readonly fast: number;
  readonly tauMin: number;
  /** Minutes it had stood wet before the dough was mixed. */
  readonly headStartMin: number;
}

/** A bought mixture: to a baker one ingredient, whatever is guessed to be in it. */
export interface Bag {
  readonly ingredientId: string;
  /** What it absorbs against its parts; sd: how unsure that is, its parts' own spreads apart unless it is known as a whole. */
  readonly absorbs: Estimate;
  readonly known: boolean;
}

export interface WaterBalance {
  /** All water that is not inside the powders as sold, g. */
  readonly waterG: number;
  /** Of that, bound in egg, cheese, butter and the like: no powder's and no use to the feel of the dough, g, with its sd. */
  readonly boundG: number;
  readonly boundSdG: number;
  /** What oil and dissolved sugar add to it, g of water's worth. */
  readonly softeningG: number;
  readonly softeningSdG: number;
  /** sd of the liquid from how it was measured: cups and eggs, g. */
  readonly measuredSdG: number;
  readonly demands: readonly WaterDemand[];
  /** sd of the demand from bought mixtures whose shares nobody knows, g. */
  readonly mixturesSdG: number;
  /** D(∞), g. */
  readonly demandG: number;
  readonly mixMin: number;
  readonly restMin: number;
}

const midMin = (step: MethodStep): number | null =>
  step.minS === null ? null : (step.minS + (step.maxS ?? step.minS)) / 120;

const WORKED: ReadonlySet<MethodStep['kind']> = new Set(['mix', 'fold', 'kneadAgain', 'knockBack']);
const STANDING: ReadonlySet<MethodStep['kind']> = new Set(['rest', 'bulk', 'chill']);
const DONE_RESTING: ReadonlySet<MethodStep['kind']> = new Set([
  'divide', 'shape', 'fill', 'proof', 'freeze', 'score', 'boil', 'griddle', 'fry', 'bake',
]); // prettier-ignore

/** How long the dough is mixed, and how long it then stands until it is shaped or goes into its tin, as the method has it. */
function timesOf(steps: readonly MethodStep[]): { mixMin: number; restMin: number } {
  let mixMin: number | null = null;
  let restMin: number | null = null;
  for (const step of steps) {
    if (WORKED.has(step.kind)) {
      const { times, eachS, waitS } = repeated(step, 60 * (midMin(step) ?? CONSISTENCY.usualMixMin));
      mixMin = (mixMin ?? 0) + (times * eachS) / 60;
      // between one fold and the next it stands
      if (times > 1) restMin = (restMin ?? 0) + ((times - 1) * waitS) / 60;
    } else if (mixMin !== null && STANDING.has(step.kind))
      restMin = (restMin ?? 0) + (midMin(step) ?? CONSISTENCY.usualRestMin);
    else if (mixMin !== null && DONE_RESTING.has(step.kind)) break;
  }
  // straight into the tin: it absorbs through the proof
  if (restMin === null) {
    const proof = steps.find((step) => step.kind === 'proof');
    restMin = (proof && midMin(proof)) ?? CONSISTENCY.usualRestMin;
  }
  return { mixMin: mixMin ?? CONSISTENCY.usualMixMin, restMin: Math.min(restMin, 48 * 60) };
}

/** Relative sd of a line's weight from how it was measured; the range kept with it is the central 80 %. */
const doubtOf = ({ massG, measured }: Formula['stages'][number]['lines'][number]): number =>
  measured && massG > 0 ? Math.max(0, measured.highG - measured.lowG) / (2 * Z80 * massG) : 0;

/** Does it drink, or is its water part of what others drink? Powders keep the little water they are sold with. */
const bringsWater = (ingredient: Ingredient): boolean =>
  !isFlourBase(ingredient) && !(ingredient.roles.includes('binder') && !ingredient.roles.includes('egg'));

/** How a powder absorbs: by what it is, and of the flours by their fibre. */
function absorbsAs(ingredient: Ingredient): AbsorbsAs {
  if (ingredient.roles[0] === 'starch') return 'starch';
  if (isFlourBase(ingredient) && ingredient.family === 'pulse') return 'pulse';
  if (isFlourBase(ingredient)) return ingredient.per100g.fibre.value >= WHOLE_FROM_FIBRE ? 'whole' : 'fine';
  return ingredient.roles.includes('binder') ? (BINDERS_ABSORB_AS[ingredient.id] ?? 'gum') : 'whole';
}

const FAST_OF = {
  fine: 'fast.fine', starch: 'fast.fine', whole: 'fast.whole', pulse: 'fast.whole', psyllium: 'fast.swelling', seed: 'fast.swelling',
  cellulose: 'fast.gum', gum: 'fast.gum',
} as const satisfies Record<AbsorbsAs, keyof Figures>; // prettier-ignore

/** Share of an ingredient's water that is free to loosen a dough; the rest stays in its proteins, fat or cells. */
function freeShare(ingredient: Ingredient, figures: Figures): number {
  if (ingredient.roles.includes('egg')) return figures['free.egg'];
  if (ingredient.roles[0] === 'inclusion') return figures['free.solid'];
  return ingredient.roles[0] === 'fat' ? FREE_IN_FAT : 1;
}
/** Butter's water stands in droplets in its fat. */
const FREE_IN_FAT = 0.5;
/** How unsure the free share of an ingredient is, sd. */
const FREE_SD = 0.15;

/** How far the starch among these has swollen in their boiling water: fully from about one and a half times its weight upwards. */
function swollenShare(parts: readonly { readonly ingredient: Ingredient; readonly massG: number }[]): number {
  let waterG = 0;
  let starchG = 0;
  for (const { ingredient, massG } of parts) {
    if (bringsWater(ingredient)) waterG += (massG * ingredient.per100g.water.value) / 100;
    if (isFlourBase(ingredient)) starchG += (massG * ingredient.per100g.starch.value) / 100;
  }
  return starchG > 0 ? Math.min(1, waterG / (1.5 * starchG)) : 0;
}

/** Is it a mixture that is known, or guessed at, as a whole? */
const isBag = ({ madeOf, absorbs, thirstCv }: Ingredient): boolean =>
  madeOf !== null && (absorbs !== undefined || thirstCv !== undefined);

const bagOf = ({ id, absorbs, thirstCv }: Ingredient): Bag => ({
  ingredientId: id,
  absorbs: absorbs ?? { value: 1, sd: thirstCv ?? 0 },
  known: absorbs !== undefined,
});

interface Portion extends Part {
  /** Kept ready it has been wet for hours, whichever part of the sheet it is weighed into. */
  readonly ready: 'scald' | 'starter' | null;
  /** How far its starch has swollen before; null: as the part of the sheet says. */
  readonly swollen: number | null;
}

/** What is inside a line, to any depth, with what has happened to it before it came to the dough. */
function portionsOf(
  book: IngredientBook,
  id: string,
  massG: number,
  main: boolean,
  around: Pick<Portion, 'ready' | 'bag'> = { ready: null, bag: null },
): Portion[] {
  const apart = takeApart(book, id, massG);
  if (!apart.ok) return [];
  const whole = book.get(id);
  if (whole?.scalded) {
    const swollen = swollenShare(apart.value);
    return apart.value.map((part) => ({ ...part, bag: around.bag ?? part.bag, ready: 'scald', swollen }));
  }
  const madeOf = whole?.madeOf ?? NOTHING;
  const wet = madeOf.length > 0 && main && (whole?.per100g.water.value ?? 0) > WET_PERCENT;
  const ready = around.ready ?? (wet ? 'starter' : null);
  const bag = around.bag ?? (whole && isBag(whole) ? whole : null);
  if (!madeOf.some(({ ingredientId }) => book.get(ingredientId)?.madeOf))
    return apart.value.map(({ ingredient, massG: partG, bag }) => ({
      ingredient,
      massG: partG,
      bag: around.bag ?? bag,
      ready,
      swollen: null,
    }));
  const all = madeOf.reduce((sum, { share }) => sum + share, 0);
  return madeOf.flatMap((part) =>
    portionsOf(book, part.ingredientId, (massG * part.share) / all, main, { ready, bag }),
  );
}
/** How long a part has been wet when the dough is mixed, min. */
const headStartOf = (kind: StageKind): number =>
  CONSISTENCY.headStartMin[kind as keyof typeof CONSISTENCY.headStartMin] ?? 0;

const NOTHING: NonNullable<Ingredient['madeOf']> = [];
/** A mixture of more water than this is no jar of powders. */
const WET_PERCENT = 30;

/**
 * Where a dough's water comes from and what asks for it.
 *
 * Wish of each powder m · a with its own absorption a (g water per g as sold, with spread). Absorptions are measured in plenty of
 * water and do not simply add up in a dough: binders (wish G) compete with flours and starches (wish B) and get G / (1 + κ G / B), a
 * sub-additive law that is the plain sum for a trace of binder. A share is taken as the powder wets, the rest as it swells
 * ({@link takenShare}). In a scald the starch is gelatinised as far as the part's water allows and holds more. Parts that stood before mixing have a
 * head start. Toppings are no part of it.
 *
 * Valid for doughs and batters of 30-250 % water on the flour base; a mixture is taken apart to any depth. Lines the book
 * does not know count for nothing and are named by the totals.
 */
export function waterBalance(
  formula: Pick<Formula, 'stages' | 'steps'>,
  book: IngredientBook,
  figures: Figures = FIGURES,
): WaterBalance {
  let waterG = 0;
  let boundG = 0;
  let boundSdG = 0;
  let oilG = 0;
  let sugarG = 0;
  let measuredVariance = 0;
  const mixturesG = new Map<string, number>();
  const byKey = new Map<string, Wish>();
  for (const stage of formula.stages) {
    if (!isDoughStage(stage)) continue;
    const parts = stage.lines.flatMap((line) => {
      if (line.heldBack) return [];
      const doubt = doubtOf(line);
      return portionsOf(book, line.ingredientId, line.massG, stage.kind === 'main').map(
        ({ ingredient, massG, ready, swollen, bag }) => ({
          ingredient,
          massG,
          ready,
          swollen,
          bag,
          doubt,
        }),
      );
    });
    const stageSwollen = stage.kind === 'scald' ? swollenShare(parts) : 0;
    for (const { ingredient, massG, doubt, ready, bag: whole, swollen: ownSwollen } of parts) {
      const swollen = ownSwollen ?? stageSwollen;
      const { per100g, absorption } = ingredient;
      if (bringsWater(ingredient)) {
        const bringsG = (massG * per100g.water.value) / 100;
        const free = freeShare(ingredient, figures);
        measuredVariance += (doubt * bringsG * free) ** 2;
        waterG += bringsG;
        boundG += bringsG * (1 - free);
        if (free < 1) boundSdG += bringsG * FREE_SD;
      }
      if (ingredient.roles.includes('fat')) oilG += (massG * per100g.fat.value) / 100;
      if (ingredient.roles[0] === 'sweet' || ingredient.roles[0] === 'liquid')
        sugarG += (massG * per100g.sugars.value) / 100;
      if (!absorption) continue;
      const kind = absorbsAs(ingredient);
      const bag = whole && bagOf(whole);
      const { gPerG, sd } = wishOf(
        ingredient,
        absorption.gPerG,
        figures[`absorbs.${kind}`],
        bag,
        swollen,
        doubt,
      );
      const headStartMin = headStartOf(ready ?? stage.kind);
      // one bag, one error: what is weighed of it in two places errs together
      if (bag)
        mixturesG.set(
          bag.ingredientId,
          (mixturesG.get(bag.ingredientId) ?? 0) + (massG * gPerG * bag.absorbs.sd) / bag.absorbs.value,
        );
      const key = `${ingredient.id} ${headStartMin} ${swollen} ${bag?.ingredientId}`;
      const before = byKey.get(key);
      byKey.set(key, {
        ingredientId: ingredient.id,
        bag,
        massG: (before?.massG ?? 0) + massG,
        wishG: (before?.wishG ?? 0) + massG * gPerG,
        // one bag, one error: the sds of the same ingredient add up
        sdG: (before?.sdG ?? 0) + massG * sd,
        binder: !isFlourBase(ingredient) && ingredient.roles.includes('binder'),
        fast: figures[FAST_OF[kind]],
        tauMin: absorption.tauMin * figures.swelling,
        headStartMin,
      });
    }
  }
  const demands = competing([...byKey.values()], figures.competition);
  return {
    waterG,
    boundG,
    boundSdG,
    softeningG: oilG * figures.oilSoftens + sugarG * figures.sugarSoftens,
    softeningSdG: Math.hypot(oilG * knownTo('oilSoftens'), sugarG * knownTo('sugarSoftens')),
    measuredSdG: Math.sqrt(measuredVariance),
    demands,
    demandG: demands.reduce((sum, demand) => sum + demand.demandG, 0),
    mixturesSdG: Math.hypot(...mixturesG.values()),
    ...timesOf(formula.steps),
  };
}

/** What a gram of a powder would take alone in plenty of water, g, with its sd: swollen before so far, measured with such a doubt. */
function wishOf(
  ingredient: Ingredient,
  { value, sd }: Estimate,
  fitted: number,
  bag: Bag | null,
  swollen: number,
  doubt: number,
): { gPerG: number; sd: number } {
  const { scaldedStarchHolds } = CONSISTENCY;
  const extra = isFlourBase(ingredient) ? swollen * (ingredient.per100g.starch.value / 100) : 0;
  const scale = fitted * (bag?.absorbs.value ?? 1);
  const gPerG = value * scale + extra * scaldedStarchHolds.value;
  // a bag that is known as a whole is no surer and no less sure for its parts
  const own = bag?.known ? 0 : sd * scale;
  return { gPerG, sd: Math.hypot(own, extra * scaldedStarchHolds.sd, doubt * gPerG) };
}

/** What a powder would take alone in plenty of water. */
interface Wish extends Omit<WaterDemand, 'demandG' | 'pullG'> {
  readonly wishG: number;
  readonly binder: boolean;
}

/** Binders beside flours: of their wish G they get G / (1 + κ G / B). */
function competing(wishes: readonly Wish[], competition: number): WaterDemand[] {
  let flours = 0;
  let binders = 0;
  for (const { binder, wishG } of wishes) {
    if (binder) binders += wishG;
    else flours += wishG;
  }
  const over = flours > 0 ? binders / flours : 0;
  const gets = 1 / (1 + competition * over);
  const flourPull = 1 + competition * (over * gets) ** 2;
  // named one by one: asked at every key
  return wishes.map(({ ingredientId, bag, massG, wishG, sdG, binder, fast, tauMin, headStartMin }) => ({
    ingredientId,
    bag,
    massG,
    demandG: wishG * (binder ? gets : 1),
    sdG: sdG * (binder ? gets : 1),
    pullG: wishG * (binder ? gets * gets : flourPull),
    fast,
    tauMin,
    headStartMin,
  }));
}

/** Minutes from the first wetting to so long after the end of mixing. */
export const wetMin = (balance: Pick<WaterBalance, 'mixMin'>, standMin: number): number =>
  CONSISTENCY.wettingMin + balance.mixMin + standMin;

/**
 * The share of its demand that a powder has taken, `standMin` minutes after the end of mixing; Infinity: in the end. Wetting is a
 * matter of a minute or two, swelling of the powder's own time constant.
 */
export function takenShare(
  demand: Pick<WaterDemand, 'headStartMin' | 'fast' | 'tauMin'>,
  balance: Pick<WaterBalance, 'mixMin'>,
  standMin: number,
): number {
  const min = demand.headStartMin + wetMin(balance, standMin);
  return (
    1 -
    demand.fast * Math.exp(-min / CONSISTENCY.wetsMin) -
    (1 - demand.fast) * Math.exp(-min / demand.tauMin)
  );
}

export interface WaterState {
  /** What each powder holds, g, in the order of `demands`. */
  readonly heldG: readonly number[];
  /** Water nobody holds (yet); what egg and cheese keep to themselves is not in it. */
  readonly freeG: number;
  /** What the powders would still take if there were more, in the end. */
  readonly shortG: number;
}

/** Who holds the water, so many minutes after mixing. Where there is too little for all, each gets its share of what there is. */
export function waterState(balance: WaterBalance, standMin: number): WaterState {
  const looseG = balance.waterG - balance.boundG;
  const share = balance.demandG > 0 ? Math.min(1, looseG / balance.demandG) : 0;
  const heldG = balance.demands.map(
    (demand) => demand.demandG * takenShare(demand, balance, standMin) * share,
  );
  return {
    heldG,
    freeG: Math.max(0, looseG - heldG.reduce((sum, held) => sum + held, 0)),
    shortG: Math.max(0, balance.demandG - looseG),
  };
}
