import type { BatchLine, BatchSheet } from '../batch/batchSheet';
import { bandOf, liquidForG } from '../consistency/consistency';
import { BAND_AIMS, BAND_ENDS, BANDS, type Band } from '../consistency/parameters';
import { isDoughStage } from '../formula/formula';
import { isFlourBase, type Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isAskedFor } from '../batch/askedFor';
import { bakeState, isStepDone, targetG, type BakeState, type Feeling, type Mended } from './bakeState';
import { doughFigures, withoutModel, type DoughFigures, type DoughSheet } from './doughFigures';
import { wrongLine, type WrongLine } from './wrongLine';

/** So much more, or less, of a line than it should be. */
interface LineTarget {
  readonly lineId: string;
  readonly massG: number;
}

export interface Mend {
  readonly by: Mended['by'];
  /** What every line it touches is meant to be by it. */
  readonly targets: readonly LineTarget[];
  /** What goes in that was not to, or comes out again or stays out (below 0), by it. */
  readonly moves: readonly { readonly lineId: string; readonly byG: number }[];
  /** What dough it makes. */
  readonly dough: DoughFigures;
  /** Whole pieces there are more (or fewer) of the size that was planned; where it makes none, every piece is larger, or smaller. */
  readonly pieces: number;
  /** Dough in each, g. */
  readonly pieceG: number;
}

/** An amount that is not what it should be, what that makes, and what can be done about it. */
export interface WrongAmount extends WrongLine {
  readonly planned: DoughFigures;
  /** The dough as it will be if all else goes in as it is meant. */
  readonly now: DoughFigures;
  readonly mends: readonly Mend[];
}

/** Twice as much of everything is another batch. */
const MOST_FACTOR = 1.6;
const LEAST_FACTOR = 0.4;
/** What is worked in to mend a dough is at most so much of its flours. */
const MOST_BALANCE = 0.5;
/** Fewer than so many are tins or hearth loaves. */
const FEW_PIECES = 5;
/** Of salt that is added with flour less is not weighed, g. */
const LEAST_SALT_G = 0.2;

const withTargets = (state: BakeState, targets: readonly LineTarget[]): BakeState => {
  const weighed = new Map(state.weighed);
  for (const { lineId, massG } of targets) weighed.set(lineId, { massG, atMs: 0, before: [] });
  return { ...state, weighed };
};

/** To what the scale of a line shows. */
const onScale = (massG: number, stepG: number): number =>
  Math.round(Math.round(massG / stepG) * stepG * 100) / 100;

interface InDough {
  readonly line: BatchLine;
  readonly ingredient: Ingredient | undefined;
  /** Not of a gel or a starter, which is made for itself. */
  readonly isMain: boolean;
}

/** What is mended with: of the dough itself where it has some, the most of it. */
const byUse = (a: InDough, b: InDough): number =>
  Number(b.isMain) - Number(a.isMain) || b.line.massG - a.line.massG;

/** Lines of the dough that are asked for, with what they are. */
const doughOf = (sheet: DoughSheet, book: IngredientBook): InDough[] =>
  sheet.stages
    .filter(isDoughStage)
    .flatMap(({ kind, lines }) =>
      lines
        .filter(isAskedFor)
        .map((line) => ({ line, ingredient: book.get(line.ingredientId), isMain: kind === 'main' })),
    );

/** Of a dough that no bowl takes at once, which mix a line goes into; null: it is weighed whole, and each takes its share. */
function mixOf({ mixes, activities }: DoughSheet, { atStepId, of }: BatchLine): number | null {
  if (!mixes) return null;
  const asked = activities?.find(({ id }) => id === atStepId)?.mix?.at;
  // what the first asks for is weighed before it
  return asked ?? (atStepId === undefined && of ? of.at : null);
}

class Mending {
  readonly planned: ReturnType<typeof doughFigures>;
  readonly now: ReturnType<typeof doughFigures>;
  private readonly dough: ReturnType<typeof doughOf>;
  /** What is meant to be in of every line that is not yet, g. */
  private readonly meant: ReadonlyMap<string, number>;

  constructor(
    private readonly sheet: DoughSheet,
    private readonly state: BakeState,
    /** Null: all is in as it should be, and the dough is not. */
    private readonly fault: WrongLine | null,
    private readonly book: IngredientBook,
  ) {
    // without a fault it is meant to be what the sheet says, whatever was worked in since
    const right = fault
      ? withTargets(state, [{ lineId: fault.line.id, massG: fault.wantedG }])
      : bakeState(0, []);
    this.planned = doughFigures(sheet, right, book);
    this.now = doughFigures(sheet, state, book);
    this.dough = doughOf(sheet, book);
    this.meant = new Map(this.dough.map((each) => [each.line.id, targetG(each.line, state)]));
  }

  /** What goes into the bowl with it: all of the dough, where it is mixed in one. */
  private get inBowl(): readonly InDough[] {
    const mix = this.fault && mixOf(this.sheet, this.fault.line);
    return mix === null ? this.dough : this.dough.filter(({ line }) => mixOf(this.sheet, line) === mix);
  }

  private isFault(line: BatchLine): boolean {
    return line.id === this.fault?.line.id;
  }

  private get isInDough(): boolean {
    return this.fault === null || this.dough.some(({ line }) => this.isFault(line));
  }

  /** A mend by its targets; null: it would change nothing that a scale shows. */
  private mend(by: Mend['by'], targets: readonly LineTarget[], factor = 1): Mend | null {
    const moves = targets.flatMap(({ lineId, massG }) => {
      const is = this.state.weighed.get(lineId)?.massG ?? this.meant.get(lineId) ?? 0;
      return Math.abs(massG - is) < 0.01 ? [] : [{ lineId, byG: massG - is }];
    });
    if (by !== 'carryOn' && moves.length === 0) return null;
    const { count, doughG } = this.sheet.pieces;
    // two tins stay two tins: of so few each is filled more, or less
    const isFew = count < FEW_PIECES;
    const pieces = factor === 1 || isFew ? 0 : Math.floor((factor * this.sheet.usableDoughG) / doughG + 1e-9) - count;
    const pieceG = factor !== 1 && pieces === 0 ? factor * doughG : doughG;
    return { by, targets, moves, pieces, pieceG, dough: withoutModel(doughFigures(this.sheet, withTargets(this.state, targets), this.book)) };
  } // prettier-ignore

  private stays(): LineTarget[] {
    return this.fault ? [{ lineId: this.fault.line.id, massG: this.fault.isG }] : [];
  }

  /** Everything else in the same measure: a batch that much larger, or smaller where nothing that is in would be too much. */
  private scaled({ line: wrong, isG, wantedG }: WrongLine): Mend | null {
    const factor = isG / wantedG;
    if (!this.isInDough || factor > MOST_FACTOR || factor < LEAST_FACTOR) return null;
    const mix = mixOf(this.sheet, wrong);
    // what is weighed whole for all mixes cannot be more for one of them
    if (mix !== null && this.dough.some(({ line }) => mixOf(this.sheet, line) === null)) return null;
    const ofAll = mix === null ? factor : 1 + (factor - 1) / (this.sheet.mixes?.count ?? 1);
    const targets = this.inBowl.map(({ line }): LineTarget =>
      this.isFault(line) ? { lineId: line.id, massG: isG } : { lineId: line.id, massG: onScale(targetG(line, this.state) * factor, line.stepG) },
    );
    const isTooMuch = targets.some(({ lineId, massG }) => (this.state.weighed.get(lineId)?.massG ?? 0) > massG + 0.01 && lineId !== wrong.id);
    if (isTooMuch && factor < 1) return null;
    return this.mend(factor > 1 ? 'moreOfAll' : 'lessOfAll', targets, ofAll);
  } // prettier-ignore

  private more(line: BatchLine, byG: number): LineTarget {
    return { lineId: line.id, massG: onScale((this.state.weighed.get(line.id)?.massG ?? targetG(line, this.state)) + byG, line.stepG) };
  } // prettier-ignore

  /**
   * So much of this dough's own flour, with its salt, or of its water, that it feels as it was meant to.
   *
   * @param offS by how much the dough itself is looser than the model says of it
   */
  balanced(offS = 0): Mend | null {
    const { planned, now } = this;
    if (!this.isInDough || !planned.consistency || !now.consistency) return null;
    const aim = planned.consistency.rested.s - offS;
    const waterG = liquidForG(now.consistency, aim);
    const isWater = (ingredient: Ingredient | undefined) => ingredient?.roles[0] === 'liquid' && ingredient.per100g.water.value > 80;
    if (waterG > 0) {
      const [water] = this.inBowl.filter(({ line, ingredient }) => isWater(ingredient) && !this.isFault(line)).sort(byUse);
      if (!water) return null;
      return this.mend('balance', [...this.stays(), this.more(water.line, waterG / ((water.ingredient?.per100g.water.value ?? 100) / 100))]);
    }
    const [flour] = this.inBowl.filter(({ line, ingredient }) => ingredient && isFlourBase(ingredient) && !this.isFault(line)).sort(byUse);
    if (!flour) return null;
    const feltWith = (addG: number) => doughFigures(this.sheet, withTargets(this.state, [...this.stays(), this.plus(flour.line, addG)]), this.book).consistency?.rested.s ?? aim;
    const most = MOST_BALANCE * this.dough.reduce((sum, { line, ingredient }) => sum + (ingredient && isFlourBase(ingredient) ? line.massG : 0), 0);
    if (feltWith(most) > aim) return null;
    // it only gets firmer by it: halved again and again, to a tenth of a gram
    let [low, high] = [0, most];
    while (high - low > 0.1) {
      const middle = (low + high) / 2;
      if (feltWith(middle) > aim) low = middle;
      else high = middle;
    }
    return this.mend('balance', [...this.stays(), this.more(flour.line, high), ...this.saltFor(flour.line, high)]);
  } // prettier-ignore

  private plus(line: BatchLine, byG: number): LineTarget {
    const is = this.state.weighed.get(line.id)?.massG ?? targetG(line, this.state);
    return { lineId: line.id, massG: is + byG };
  }

  /** The salt that goes with more flour. */
  private saltFor(flour: BatchLine, addG: number): LineTarget[] {
    const salt = this.inBowl.find(({ ingredient }) => ingredient?.roles[0] === 'salt');
    const percent = this.planned.saltPercent;
    if (!salt || this.isFault(salt.line) || salt.line.id === flour.id || percent === null) return [];
    const byG = onScale((percent / 100) * addG, salt.line.stepG);
    return byG < LEAST_SALT_G ? [] : [this.more(salt.line, byG)];
  }

  private isMixed(): boolean {
    return this.sheet.steps.some(({ kind, id }) => kind === 'mix' && isStepDone(this.state, id));
  }

  all(fault: WrongLine): Mend[] {
    const overG = fault.isG - fault.wantedG;
    const right: LineTarget = { lineId: fault.line.id, massG: fault.wantedG };
    const found = [
      overG < 0 ? this.mend('addRest', [right]) : null,
      this.mend('carryOn', this.stays()),
      this.balanced(),
      this.scaled(fault),
      overG > 0 && !this.isMixed() ? this.mend('takeOut', [right]) : null,
    ];
    return found.filter((each) => each !== null);
  }
}

/**
 * The line that is in by too much or too little (`wrongLine`): what dough it makes if all else goes in as it is meant, and what can be done. Null: all that is in is as it should be.
 *
 * Mends, each computed with the models: the rest goes in; as it is, with what that makes; this dough's own flour (with its salt) or water, until it feels as it was
 * meant to; everything else in the same measure, with how many pieces that is; what is too much comes out again, where it still can.
 */
export function wrongAmount(sheet: BatchSheet, state: BakeState, book: IngredientBook): WrongAmount | null {
  const fault = wrongLine(sheet, state, book);
  if (!fault) return null;
  const mending = new Mending(sheet, state, fault, book);
  return { ...fault, planned: withoutModel(mending.planned), now: withoutModel(mending.now), mends: mending.all(fault) };
} // prettier-ignore

/** A dough that feels other than it was meant to, and what is worked in so that it does. */
export interface FeltWrong {
  readonly felt: Band;
  readonly meant: Band;
  readonly isWetter: boolean;
  readonly mend: Mend;
}

/** While it is mixed, and until it has drunk. Later nothing is worked into a dough that rises. */
const MENDED_IN: ReadonlySet<string> = new Set(['mix', 'kneadAgain', 'rest', 'fold']);

function isToBeMended({ steps, mixes }: BatchSheet, { mends, additions, weighed, dueAgain }: BakeState, { stepId, atMs }: Feeling): boolean {
  const isPast = (each: { readonly atMs: number }) => each.atMs >= atMs;
  const hasChanged = mends.some(isPast) || additions.some(isPast) || [...weighed.values()].some(isPast);
  const isInTime = steps.some(({ id, kind }) => id === stepId && MENDED_IN.has(kind));
  return !mixes && isInTime && !hasChanged && dueAgain.size === 0;
} // prettier-ignore

/** A word for a dough is a span: it is taken to lie so far in from the edge it came over, towards its middle. Less is soon added to. */
const INTO_BAND = 0.5;

/**
 * The dough is wetter, or drier, than it was meant to be though all that was weighed is right: this flour drinks otherwise, this air is damp. The
 * hand is right: the model is moved to it, and says what of the dough's own flour or water brings it to where it was meant to be. Null: it feels
 * as it should, nobody has said, something went in since, it is past mending, or it is one of several mixes, which may differ.
 */
export function feltWrong(sheet: BatchSheet, state: BakeState, book: IngredientBook): FeltWrong | null {
  const last = [...state.feelings].sort((a, b) => b.atMs - a.atMs)[0];
  if (!last || !isToBeMended(sheet, state, last)) return null;
  const mending = new Mending(sheet, state, null, book);
  const { planned, now } = mending;
  if (!planned.consistency || !now.consistency) return null;
  // while it is mixed it has not drunk what it will
  const isMixing = sheet.steps.some(({ id, kind }) => id === last.stepId && kind === 'mix');
  const modelS = (isMixing ? now.consistency.now : now.consistency.rested).s;
  const meant = bandOf((isMixing ? planned.consistency.now : planned.consistency.rested).s);
  const { band: felt } = last;
  if (felt === meant) return null;
  const isWetter = BANDS.indexOf(felt) > BANDS.indexOf(meant);
  const edge = isWetter ? BAND_ENDS[BANDS[BANDS.indexOf(felt) - 1]!] : BAND_ENDS[felt];
  const feltS = edge + INTO_BAND * (BAND_AIMS[felt] - edge);
  const mend = mending.balanced(feltS - modelS);
  return mend && { felt, meant, isWetter, mend };
} // prettier-ignore
