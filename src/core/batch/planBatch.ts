import { allLines, isDoughStage, type Formula } from '../formula/formula';
import { formulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { compensatedSum } from '../numeric/compensatedSum';
import { never, ok, refuse, type Result } from '../result';
import type { BatchRequest } from './batchRequest';
import type { BatchSheet } from './batchSheet';
import { checkRequest } from './checkRequest';
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

/** What rounding to the scale may take from a dough without costing it a piece. */
const ROUNDED_AWAY = 0.005;

/**
 * How many whole pieces a dough gives: as many as there would be without what the bowl keeps (nobody makes one roll fewer because the
 * scraper kept a spoon: each is a little lighter), and never none.
 */
const wholePieces = (doughG: number, eachG: number): number =>
  Math.max(1, Math.floor((doughG / eachG) * (1 + ROUNDED_AWAY) + 1e-6));

/** By how much every mass of the formula is multiplied, before rounding. */
function scaleFactor(formula: Formula, doughG: number, request: BatchRequest): Result<number> {
  switch (request.mode) {
    case 'pieces':
      return ok((request.pieces * pieceDoughG(request)) / reaching(request.bowlLossPercent) / doughG);
    case 'factor':
      return ok(request.factor);
    case 'fixed': {
      const line = allLines(formula).find(({ id }) => id === request.lineId);
      return line ? ok(request.massG / line.massG) : refuse('unknownLine', 'lineId');
    }
    default:
      return never(request);
  }
}

/**
 * Scales a formula to a batch and rounds it to the kitchen's scales. Everything follows the one factor, toppings too.
 *
 * Whole pieces only: the remainder is stated, never spread in silence. Asked for pieces, rounding may leave the dough a gram or two off;
 * the count stays what was asked. Asked otherwise there is at least one piece, and each is lighter by what the bowl keeps.
 *
 * Eight rolls of 85 g out of a formula of 980 g: times 0.694, the water 277.6 g and 278 g on a scale of whole grams.
 *
 * @returns the sheet; the request's own field when that is out of range; `nothingToWeigh` for a formula without dough, `noFlour` without a flour base, `tooLarge` /
 *   `tooSmall` at `factor` when a line leaves 0.001 g ... 1 t
 */
export function planBatch(
  formula: Formula,
  request: BatchRequest,
  scales: ScaleRanges,
  book: IngredientBook,
): Result<BatchSheet> {
  const checked = checkRequest(request);
  if (!checked.ok) return checked;
  const exact = formulaTotals(formula, book);
  if (exact.doughG <= 0) return refuse('nothingToWeigh');
  if (exact.baseG <= 0) return refuse('noFlour');
  const scaled = scaleFactor(formula, exact.doughG, request);
  if (!scaled.ok) return scaled;
  const factor = scaled.value;

  let worst: { lineId: string; percent: number } | null = null;
  const stages: BatchSheet['stages'] = [];
  for (const stage of formula.stages) {
    const lines: BatchSheet['stages'][number]['lines'] = [];
    for (const line of stage.lines) {
      const ingredient = book.get(line.ingredientId);
      if (!ingredient) return refuse('unknownIngredient', 'stages', { ingredientId: line.ingredientId });
      const exactG = line.massG * factor;
      if (exactG > 1_000_000) return refuse('tooLarge', 'factor', { max: 1_000_000 });
      if (exactG < 0.001) return refuse('tooSmall', 'factor', { min: 0.001 });
      const rounded = roundToScale(scales, exactG);
      const percent = (100 * (rounded.massG - exactG)) / exactG;
      if (Math.abs(percent) > Math.abs(worst?.percent ?? 0)) worst = { lineId: line.id, percent };
      const { id, ingredientId, note } = line;
      lines.push({ id, ingredientId, name: ingredient.name, note, exactG, ...rounded });
    }
    if (lines.length > 0) stages.push({ id: stage.id, kind: stage.kind, name: stage.name, lines });
  }

  const lots = [...new Set(stages.flatMap((stage) => stage.lines.map((line) => line.ingredientId)))].flatMap(
    (ingredientId) => {
      const lot = book.get(ingredientId)?.lot;
      return lot ? [{ ingredientId, lotId: lot.id, name: lot.name }] : [];
    },
  );
  const rounded = formulaTotals({ stages, percentBase: formula.percentBase }, book);
  const doughG = compensatedSum(
    stages.filter(isDoughStage).flatMap((stage) => stage.lines.map((line) => line.massG)),
  );
  const usableDoughG = doughG * reaching(request.bowlLossPercent);
  const eachG = pieceDoughG(request);
  const count = request.mode === 'pieces' ? request.pieces : wholePieces(doughG, eachG);
  // what the bowl keeps is shared by all pieces; asked for a number of pieces, their weight is what was asked
  const pieceG = request.mode === 'pieces' ? eachG : Math.min(eachG, usableDoughG / count);
  return ok({
    name: formula.name,
    style: formula.style,
    percentBase: formula.percentBase,
    factor,
    stages,
    steps: formula.steps,
    ...(lots.length > 0 && { lots }),
    doughG,
    totalG: rounded.totalG,
    usableDoughG,
    pieces: {
      count,
      doughG: pieceG,
      remainderG: Math.max(0, usableDoughG - count * pieceG),
      bakedG: request.mode === 'pieces' ? pieceG * (1 - request.bakeLossPercent / 100) : null,
    },
    rounding: {
      hydrationAll: { exact: exact.hydrationAll, rounded: rounded.hydrationAll },
      salt: { exact: exact.saltPercent, rounded: rounded.saltPercent },
      binder: { exact: exact.binderPercent, rounded: rounded.binderPercent },
      worst,
    },
  });
}
