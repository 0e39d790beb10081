import { allLines, doughLines, type Formula, type StageKind } from '../formula/formula';
import type { Way } from '../formula/formulaSchema';
import { eatenOf, followsDough, type Yield } from '../formula/parts';
import { formulaTotals } from '../formula/totals';
import { divideDough, type Divided } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { compensatedSum } from '../numeric/compensatedSum';
import { mixingOf, withOwnIds } from '../process/activities';
import { NO_ROOM, type Room } from '../process/room';
import { takingsOf } from '../process/takings';
import { never, ok, refuse, type Result } from '../result';
import type { BatchRequest } from './batchRequest';
import type { BatchSheet } from './batchSheet';
import { checkRequest } from './checkRequest';
import { laidOut } from './laidOut';
import { roundToScale, type ScaleRanges } from './scale';

/** Share of the dough that reaches the tins once the bowl, hands and scraper have kept theirs. */
const reaching = (bowlLossPercent: number): number => 1 - bowlLossPercent / 100;

/**
 * The dough a piece needs for the weight asked of it. Weighed baked, the piece must start heavier by what the oven
 * takes: 85 g baked at 12 % loss is 96.6 g of dough.
 */
function pieceDoughG(request: BatchRequest): number {
  if (request.mode !== 'pieces' || request.weighed === 'dough') return request.pieceMassG;
  return request.pieceMassG / (1 - request.bakeLossPercent / 100);
}

/** More mixes than this are said, and called once: nobody counts down a hundred bowls one by one. */
const MOST_MIXES = 40;

/** What rounding to the scale may take from a dough without costing it a piece. */
const ROUNDED_AWAY = 0.005;

/**
 * How many whole pieces a dough gives: as many as there would be without what the bowl keeps (nobody makes one roll fewer because the
 * scraper kept a spoon: each is a little lighter), and never none.
 */
const wholePieces = (doughG: number, eachG: number): number =>
  Math.max(1, Math.floor((doughG / eachG) * (1 + ROUNDED_AWAY) + 1e-6));

/** What the ways of a request are: the formula's own, or so many of each as was asked; those of which there are none go out. */
function waysOf(formula: Formula, request: BatchRequest): readonly Way[] {
  const ways = formula.ways ?? [];
  if (request.mode !== 'ways') return ways;
  const counts = new Map(request.ways.map(({ wayId, pieces }) => [wayId, pieces]));
  return ways.flatMap((way): Way[] => {
    const pieces = counts.get(way.id) ?? 0;
    const { pieceMassG } = way.amount;
    return pieces > 0 ? [{ ...way, amount: { kind: 'pieces', pieces, pieceMassG } }] : [];
  });
}

/** The parts that grow with the dough. */
const followers = ({ stages }: Formula): Pick<Formula, 'stages'> => ({ stages: stages.filter(followsDough) });

/** By how much every mass of the formula is multiplied, before rounding. */
function scaleFactor(formula: Formula, doughG: number, request: BatchRequest): Result<number> {
  switch (request.mode) {
    case 'pieces':
      return ok((request.pieces * pieceDoughG(request)) / reaching(request.bowlLossPercent) / doughG);
    case 'factor':
      return ok(request.factor);
    case 'fixed': {
      // a bath does not follow the dough, so no dough follows it
      const line = allLines(followers(formula)).find(({ id }) => id === request.lineId);
      return line ? ok(request.massG / line.massG) : refuse('unknownLine', 'lineId');
    }
    case 'ways': {
      const piecesG = waysOf(formula, request).reduce(
        (sum, { amount }) => sum + (amount.kind === 'pieces' ? amount.pieces * amount.pieceMassG : 0),
        0,
      );
      return piecesG > 0
        ? ok(piecesG / reaching(request.bowlLossPercent) / doughG)
        : refuse('unknownWay', 'ways');
    }
    default:
      return never(request);
  }
}

/** Where part of a line is asked for: before the first step (null) or at one, and for which mix of several. */
interface Portion {
  readonly stepId: string | null;
  readonly share: number;
  readonly mix?: number;
}

/** What is shared out among mixes; what was made before, a starter, a soaker, is weighed whole, and each mix takes its share of it. */
const EACH_MIX: ReadonlySet<StageKind> = new Set(['main', 'late']);

/** Each portion of the dough that is mixed in several: so many of it. */
function mixed(
  portions: readonly Portion[],
  kind: StageKind,
  mixes: number,
  mixing: ReadonlySet<string | null>,
): readonly Portion[] {
  if (mixes < 2 || !EACH_MIX.has(kind)) return portions;
  return portions.flatMap((portion) =>
    mixing.has(portion.stepId)
      ? Array.from({ length: mixes }, (_, at) => ({ ...portion, share: portion.share / mixes, mix: at + 1 }))
      : [portion],
  );
}

/** What the parts of a line that goes in in several are called: each by an id that no line has. */
function idsOfPortions(
  formula: Formula,
  portions: (lineId: string, kind: StageKind) => readonly Portion[],
): ReadonlyMap<string, string> {
  const wished = formula.stages.flatMap((stage) =>
    stage.lines.flatMap(({ id }) => portions(id, stage.kind).map((_, at) => ({ id: `${id}-${at + 1}` }))),
  );
  const own = withOwnIds(wished, new Set(allLines(formula).map(({ id }) => id)));
  return new Map(wished.map(({ id }, index) => [id, own[index]!.id]));
}

interface WeighedOut {
  readonly stages: BatchSheet['stages'];
  readonly worst: BatchSheet['rounding']['worst'];
  /** Of a line that is weighed for each of several mixes: which. */
  readonly mixOf: ReadonlyMap<string, number>;
}

/** Every line at its weight, rounded to the scale, with the step that asks for it; the one that rounding moved most. */
function weighedOut(
  formula: Formula,
  steps: Formula['steps'],
  {
    factor,
    mixes,
    scales,
  }: { readonly factor: number; readonly mixes: number; readonly scales: ScaleRanges },
  book: IngredientBook,
): Result<WeighedOut> {
  const taken = takingsOf(steps, formula.stages);
  const { from, to } = mixingOf(formula.steps);
  const mixing = new Set([null, ...formula.steps.slice(from, to).map(({ id }) => id)]);
  const portions = (lineId: string, kind: StageKind) =>
    mixed(portionsOf(lineId, kind, taken, steps), kind, mixes, mixing);
  const ids = idsOfPortions(formula, portions);
  const firstMixing = formula.steps[from]?.id;
  const mixOf = new Map<string, number>();
  let worst: { lineId: string; percent: number } | null = null;
  const stages: BatchSheet['stages'] = [];
  for (const stage of formula.stages) {
    const lines: BatchSheet['stages'][number]['lines'] = [];
    const times = followsDough(stage) ? factor : 1;
    for (const line of stage.lines) {
      const ingredient = book.get(line.ingredientId);
      if (!ingredient) return refuse('unknownIngredient', 'stages', { ingredientId: line.ingredientId });
      const wholeG = line.massG * times;
      if (wholeG > 1_000_000) return refuse('tooLarge', 'factor', { max: 1_000_000 });
      if (wholeG < 0.001) return refuse('tooSmall', 'factor', { min: 0.001 });
      const { id, ingredientId, note, heldBack, measured } = line;
      const askedAt = portions(line.id, stage.kind);
      for (const [at, { stepId, share, mix = 0 }] of askedAt.entries()) {
        const exactG = wholeG * share;
        const rounded = roundToScale(scales, exactG);
        const percent = (100 * (rounded.massG - exactG)) / exactG;
        const several = askedAt.length > 1;
        const own = several ? ids.get(`${id}-${at + 1}`)! : id;
        if (Math.abs(percent) > Math.abs(worst?.percent ?? 0)) worst = { lineId: own, percent };
        lines.push({
          id: own, ingredientId, name: ingredient.name, note, exactG, ...rounded,
          ...(heldBack && { heldBack }),
          ...(measured?.counts && {
            counts: measured.counts.map(({ count, measure }) => ({ count: count * times * share, measure })),
          }),
          ...(several && { of: { lineId: id, at: at + 1, of: askedAt.length } }),
          // what is weighed before the first mix is weighed before each
          ...((stepId ?? (mix > 1 ? firstMixing : null)) && { atStepId: stepId ?? firstMixing }),
        }); // prettier-ignore
        if (mix > 0) mixOf.set(own, mix);
      }
    }
    if (lines.length > 0) stages.push({ id: stage.id, kind: stage.kind, name: stage.name, lines });
  }

  return ok({ stages, worst, mixOf });
}

/**
 * Scales a formula to a batch and rounds it to the kitchen's scales. Everything follows the one factor, toppings too, but a bath: it follows its
 * vessel, and of twice the rings no more water is boiled.
 *
 * Whole pieces only: the remainder is stated, never spread in silence. Asked for pieces, rounding may leave the dough a gram or two off;
 * the count stays what was asked. Asked otherwise there is at least one piece, and each is lighter by what the bowl keeps. A dough that parts is divided
 * among its ways (core/formula/ways.ts); what no way takes is the remainder.
 *
 * Eight rolls of 85 g out of a formula of 980 g: times 0.694, the water 277.6 g and 278 g on a scale of whole grams.
 *
 * @returns the sheet; the request's own field when that is out of range; `nothingToWeigh` for a formula without lines, `noFlour` for a dough without a flour base (a sauce of its own has none), `tooLarge` /
 *   `tooSmall` at `factor` when a line leaves 0.001 g ... 1 t; `unknownWay` where a way is asked for that the formula has not
 */
export function planBatch(
  formula: Formula,
  request: BatchRequest,
  scales: ScaleRanges,
  book: IngredientBook,
  room: Room = NO_ROOM,
): Result<BatchSheet> {
  const checked = checkRequest(request);
  if (!checked.ok) return checked;
  const exact = formulaTotals(formula, book);
  const madeG = madeOf(formula);
  if (madeG <= 0) return refuse('nothingToWeigh');
  if (exact.doughG > 0 && exact.baseG <= 0) return refuse('noFlour');
  const scaled = scaleFactor(formula, madeG, request);
  if (!scaled.ok) return scaled;
  const factor = scaled.value;
  const ways = waysOf(formula, request);
  const methodSteps = [...formula.steps, ...ways.flatMap((way) => way.steps)];

  const needed = room.mixG === null ? 1 : Math.ceil((madeG * factor) / room.mixG - 1e-9);
  const mixes = needed > MOST_MIXES ? 1 : needed;
  const weighed = weighedOut(formula, methodSteps, { factor, mixes, scales }, book);
  if (!weighed.ok) return weighed;
  const { stages, worst, mixOf } = weighed.value;
  const lots = openLots(stages, book);
  const rounded = formulaTotals({ stages, percentBase: formula.percentBase }, book);
  const doughG = madeOf({ stages });
  const usableDoughG = doughG * reaching(request.bowlLossPercent);
  const parted =
    ways.length > 0 ? divideDough(ways, usableDoughG, request.mode === 'ways' ? 1 : factor) : null;
  const pieces = parted ? piecesOfWays(parted) : onePiece(request, doughG, usableDoughG);
  const leftOver = leftOverOf(formula, stages, { pieces: pieces.count, doughG });
  const calls = laidOut(formula, { parted, pieces, mixes, room });
  return ok({
    name: formula.name,
    style: formula.style,
    percentBase: formula.percentBase,
    factor,
    stages: stages.map((stage) => ({
      ...stage,
      // asked for at the first of what its step became
      lines: stage.lines.map(({ atStepId, ...line }) => {
        if (atStepId === undefined) return line;
        const at = calls.callAt(atStepId, mixOf.get(line.id));
        return { ...line, ...(at === null ? { later: true as const } : { atStepId: at }) };
      }),
    })),
    steps: calls.steps,
    ...(calls.activities.length > 0 && { activities: calls.activities }),
    ...(calls.loads.length > 0 && { loads: calls.loads }),
    ...(needed > 1 &&
      room.mixG !== null &&
      mixingOf(formula.steps).to > 0 && { mixes: { count: needed, mostG: room.mixG } }),
    ...(parted && {
      ways: parted.shares
        .filter((share) => share.pieces > 0)
        .map(({ way, pieces: count, pieceG, overG }) => ({
          wayId: way.id,
          name: way.name,
          count,
          doughG: pieceG,
          bakedG: pieceG * (1 - formula.usualYield.bakeLossPercent / 100),
          overG,
          ...(way.putBy && { putBy: way.putBy }),
          ...((calls.later.get(way.id) ?? []).length > 0 && { later: [...calls.later.get(way.id)!] }),
        })),
    }),
    ...(lots.length > 0 && { lots }),
    ...(leftOver.length > 0 && { leftOver }),
    doughG,
    totalG: rounded.totalG,
    usableDoughG,
    pieces,
    rounding: {
      hydrationAll: { exact: exact.hydrationAll, rounded: rounded.hydrationAll },
      salt: { exact: exact.saltPercent, rounded: rounded.saltPercent },
      binder: { exact: exact.binderPercent, rounded: rounded.binderPercent },
      worst,
    },
  });
}

/** What no piece takes of what is made for them, where it is said how that keeps. */
function leftOverOf(
  formula: Formula,
  stages: BatchSheet['stages'],
  made: Yield,
): NonNullable<BatchSheet['leftOver']> {
  return formula.stages.flatMap((stage) => {
    const { id, name, keeps, perPieceG } = stage;
    const lines = stages.find((each) => each.id === id)?.lines ?? [];
    const massG = keeps && perPieceG ? (eatenOf({ ...stage, lines }, made).leftG ?? 0) : 0;
    return keeps && perPieceG && massG >= 1 ? [{ stageId: id, name, massG, perPieceG, keeps }] : [];
  });
}

/** What is made, g: the dough; of a sauce or a filling with a formula of its own all of it. */
function madeOf(formula: Parameters<typeof doughLines>[0]): number {
  const dough = compensatedSum(doughLines(formula).map(({ massG }) => massG));
  if (dough > 0) return dough;
  const parts = formula.stages.filter(followsDough);
  return compensatedSum(
    parts.flatMap(({ lines }) => lines.flatMap((line) => (line.heldBack ? [] : [line.massG]))),
  );
}

/** The pieces of a dough that goes one way. */
function onePiece(request: BatchRequest, doughG: number, usableDoughG: number): BatchSheet['pieces'] {
  const eachG = pieceDoughG(request);
  const count = request.mode === 'pieces' ? request.pieces : wholePieces(doughG, eachG);
  // what the bowl keeps is shared by all pieces; asked for a number of pieces, their weight is what was asked
  const pieceG = request.mode === 'pieces' ? eachG : Math.min(eachG, usableDoughG / count);
  return {
    count,
    doughG: pieceG,
    remainderG: Math.max(0, usableDoughG - count * pieceG),
    bakedG: request.mode === 'pieces' ? pieceG * (1 - request.bakeLossPercent / 100) : null,
  };
}

/** All pieces of a dough that parts; each weighs what they weigh on average. */
function piecesOfWays({ shares, leftG }: Divided): BatchSheet['pieces'] {
  const count = shares.reduce((sum, { pieces }) => sum + pieces, 0);
  const piecesG = shares.reduce((sum, { pieces, pieceG }) => sum + pieces * pieceG, 0);
  const overG = shares.reduce((sum, share) => sum + share.overG, 0);
  return { count, doughG: count > 0 ? piecesG / count : 1, remainderG: leftG + overG, bakedG: null };
}

/** Weighed out before the first step, unless a step takes it: what makes the dough. */
const AT_FIRST: ReadonlySet<StageKind> = new Set([
  'starter', 'preDough', 'soaker', 'scald', 'gel', 'bloom', 'main',
]); // prettier-ignore

/** Where a line is asked for, and how much of it there: once, or in shares. */
function portionsOf(
  lineId: string,
  kind: StageKind,
  taken: ReturnType<typeof takingsOf>,
  steps: Formula['steps'],
): readonly Portion[] {
  const found = [...taken].flatMap(([stepId, all]) =>
    all
      .filter((each) => each.lineId === lineId)
      .map(({ share, assumed }) => ({ stepId: assumed && AT_FIRST.has(kind) ? null : stepId, share })),
  );
  const place = (stepId: string | null) =>
    stepId === null ? -1 : steps.findIndex(({ id }) => id === stepId);
  return found.sort((a, b) => place(a.stepId) - place(b.stepId));
}

/** Which bags are open of what is weighed. */
function openLots(stages: BatchSheet['stages'], book: IngredientBook): NonNullable<BatchSheet['lots']> {
  const ids = new Set(stages.flatMap((stage) => stage.lines.map((line) => line.ingredientId)));
  return [...ids].flatMap((ingredientId) => {
    const lot = book.get(ingredientId)?.lot;
    return lot ? [{ ingredientId, lotId: lot.id, name: lot.name }] : [];
  });
}
