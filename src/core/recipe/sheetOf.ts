import { emptyFormula, FORMULA_LIMITS, type Formula, type Line, type Stage } from '../formula/formula';
import { sizeFromWords } from '../formula/sizeFromWords';
import { formulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { shortened } from '../plainTextSchema';
import { measuredAs } from '../quantity/measuredAs';
import { within } from '../units/decimal';
import { answered } from './method/answered';
import type { StepAsk } from './method/draft';
import type { RecipeReading } from './readRecipe';
import { styleOf } from './styleOf';

/** What the baker said to a line's question. */
export interface Answer {
  readonly ingredientId?: string;
  readonly massG?: number;
  /** How that was measured, where it was not weighed: it keeps its doubt. */
  readonly measured?: NonNullable<Line['measured']>;
  /** Leave this line off the sheet; its words stay in "about it". */
  readonly leaveOut?: boolean;
}

export interface SheetOfRecipe {
  readonly formula: Formula;
  /** Lines with a question still open; the sheet can be made once there are none. */
  readonly open: readonly number[];
  /** Baker's percentages printed in the text that the weights do not bear out. */
  readonly percentOff: readonly { readonly number: number; readonly written: number; readonly is: number }[];
  /** Letters of "about it" that a sheet has no room for; what is cut off is the end. */
  readonly cutLetters: number;
  /** The base taken where the text gave percentages only, g. */
  readonly assumedBaseG: number | null;
}

const PERCENT_BASE_G = 500;

/** A cup stays a cup on the sheet: what was said, and between which weights it lies. */
function measuredOf({
  weighed,
  readings,
}: RecipeReading['parts'][number]['items'][number]): Pick<Line, 'measured'> {
  const written = readings.find((reading) => reading.weighed === weighed)?.written;
  const measured = weighed && written ? measuredAs(written, weighed) : null;
  return measured ? { measured } : {};
}

/** So many pieces of so much; where a recipe does not say, all its dough is one. */
function asPieces(formula: Formula, doughG: number, makes: RecipeReading['makes']): Formula {
  if (doughG < 1) return formula;
  const { pieces: most, pieceMassG: limits } = {
    pieces: FORMULA_LIMITS.pieces.max,
    pieceMassG: FORMULA_LIMITS.pieceMassG,
  };
  const heavy = makes.pieceMassG !== null && makes.pieceMassG < doughG * 1.15 ? makes.pieceMassG : null;
  const pieces = Math.min(
    most,
    makes.pieces ?? (heavy ? Math.max(1, Math.floor((doughG * 1.01) / heavy)) : 1),
  );
  // a piece that is said to weigh more than its share of the dough is weighed by its share
  const each = heavy !== null && heavy * pieces <= doughG * 1.02 ? heavy : doughG / pieces;
  const pieceMassG = Math.min(limits.max, Math.max(limits.min, Math.round(each)));
  return { ...formula, usualYield: { ...formula.usualYield, pieces, pieceMassG } };
}

/**
 * Makes a sheet of a reading and the answers to its questions. A line keeps its words: what was said of it as its note, what
 * was left out in the text about the formula.
 *
 * @param meant of a step whose sentence asked, what was meant, by its id
 */
export function sheetOfRecipe(
  reading: RecipeReading,
  answers: ReadonlyMap<number, Answer>,
  book: IngredientBook,
  newId: () => string,
  meant: ReadonlyMap<string, StepAsk['readings'][number]> = new Map(),
): SheetOfRecipe {
  const open: number[] = [];
  const left: string[] = [];
  // what a line's note or the method has no room for goes where there is room: no word falls away in silence
  const over: string[] = [];
  const printed: { number: number; lineId: string; percent: number }[] = [];
  const items = reading.parts.flatMap(({ items }) => items);
  const percentOnly =
    items.some(({ percent, weighed }) => percent !== null && !weighed) &&
    !items.some(({ weighed }) => weighed?.by === 'mass');
  const stages: Stage[] = reading.parts.map((part) => {
    const lines: Line[] = [];
    for (const item of part.items) {
      const answer = answers.get(item.number) ?? {};
      if (answer.leaveOut) {
        left.push(item.text);
        continue;
      }
      const ingredientId = answer.ingredientId ?? item.ingredientId;
      const fromPercent = percentOnly && item.percent !== null ? (item.percent * PERCENT_BASE_G) / 100 : null;
      // a weight that was read for another ingredient is not this one's
      const own =
        item.asks.includes('disagree') || item.asks.includes('several')
          ? null
          : (item.weighed?.massG ?? fromPercent);
      const massG = answer.massG ?? own;
      const stillAsks =
        !ingredientId ||
        !book.has(ingredientId) ||
        massG === null ||
        !within(massG, FORMULA_LIMITS.lineMassG).ok ||
        (item.asks.includes('howMuch') && answer.massG === undefined && fromPercent === null);
      if (stillAsks) {
        open.push(item.number);
        continue;
      }
      const fits = item.note.length <= FORMULA_LIMITS.noteLength;
      if (!fits) over.push(item.text);
      const line: Line = {
        id: newId(),
        ingredientId,
        massG,
        note: fits ? item.note : '',
        ...(answer.massG === undefined ? measuredOf(item) : answer.measured && { measured: answer.measured }),
      };
      if (item.percent !== null && fromPercent === null)
        printed.push({ number: item.number, lineId: line.id, percent: item.percent });
      lines.push(line);
    }
    return { id: newId(), kind: part.kind, name: part.name || 'Dough', lines };
  });
  const about = [
    ...(reading.yieldText ? [reading.yieldText] : []),
    ...reading.notes,
    ...over,
    ...reading.steps.slice(FORMULA_LIMITS.steps).map(({ note }) => note),
    ...(left.length > 0 ? [`Not in the formula: ${left.join('; ')}`] : []),
  ].join('\n');
  const steps = reading.steps.map((step) => answered(step, meant.get(step.id), reading.steps));
  const blank = emptyFormula(reading.title ?? 'From a pasted recipe', newId());
  const formula: Formula = sizeFromWords({
    ...blank,
    about: shortened(about, FORMULA_LIMITS.aboutLength),
    stages: stages.length > 0 ? stages : blank.stages,
    style: styleOf(reading.title, steps) ?? blank.style,
    steps: steps.slice(0, FORMULA_LIMITS.steps),
  });
  const totals = formulaTotals(formula, book);
  return {
    formula: asPieces(formula, totals.doughG, reading.makes),
    open,
    cutLetters: Math.max(0, about.length - FORMULA_LIMITS.aboutLength),
    percentOff: printed.flatMap(({ number, lineId, percent }) => {
      const is = totals.linePercent.get(lineId) ?? null;
      return is === null || Math.abs(is - percent) <= Math.max(1, 0.04 * percent)
        ? []
        : [{ number, written: percent, is }];
    }),
    assumedBaseG: percentOnly ? PERCENT_BASE_G : null,
  };
}
