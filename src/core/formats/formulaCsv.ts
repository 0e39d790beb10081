import papa from 'papaparse';
import { FORMULA_LIMITS, STAGE_KINDS, type Formula, type StageKind } from '../formula/formula';
import { formulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isPlain } from '../plainText';
import { matchIngredient } from '../recipe/match';
import type { IngredientLine } from '../recipe/readLine';
import type { RecipeReading, SourceLine } from '../recipe/readRecipe';
import { ok, refuse, type Result } from '../result';
import { parseDecimal, within } from '../units/decimal';
import { FILE_LIMITS } from './readJson';
import { asText, fromText, isRun } from './cellText';
import { lossesOf, type Loss } from './loss';

/** Columns of our CSV. Only `ingredient` and `grams` have to be there when a file from elsewhere is read. */
const COLUMNS = ['part', 'kind', 'ingredient', 'id', 'grams', 'percent', 'note'] as const;
const LOSES: readonly Loss[] = [
  'style',
  'usualYield',
  'percentBase',
  'method',
  'about',
  'measured',
  'heldBack',
  'partFigures',
  'ways',
  'ownIngredients',
];

/** A formula's ingredients as CSV (RFC 4180, comma, CRLF), with the losses. Grams in full, so that they come back the same. */
export function writeFormulaCsv(formula: Formula, book: IngredientBook): { text: string; losses: Loss[] } {
  const totals = formulaTotals(formula, book);
  const rows = formula.stages.flatMap((stage) =>
    stage.lines.map((line) => {
      const percent = totals.linePercent.get(line.id) ?? null;
      return [
        asText(stage.name),
        stage.kind,
        asText(book.get(line.ingredientId)?.name ?? line.ingredientId),
        line.ingredientId,
        String(line.massG),
        percent === null ? '' : percent.toFixed(2),
        asText(line.note),
      ];
    }),
  );
  return {
    text: `${papa.unparse([[...COLUMNS], ...rows], { newline: '\r\n' })}\r\n`,
    losses: lossesOf(formula, LOSES),
  };
}

/** A table of a recipe has a handful; a row without end is no row. */
const MOST_COLUMNS = 60;

const HEADS: Readonly<Record<string, (typeof COLUMNS)[number]>> = {
  part: 'part', stage: 'part', section: 'part', kind: 'kind', ingredient: 'ingredient', name: 'ingredient', id: 'id',
  grams: 'grams', g: 'grams', 'weight (g)': 'grams', weight: 'grams', amount: 'grams', percent: 'percent', '%': 'percent',
  note: 'note', notes: 'note',
}; // prettier-ignore

/**
 * Reads ingredients from CSV: our own or a plain table with at least a column for the ingredient and one for grams. A name
 * that is not sure becomes a question, as in a pasted recipe.
 *
 * @returns a reading, or the first problem with row and column in its path ("row.4.grams", counted from 1 with the head):
 *   `formulaCell` for a cell that a spreadsheet would run, `notANumber`, `tooMany`, `control`, `wrongFormat` without the columns
 */
export function readFormulaCsv(text: string, book: IngredientBook): Result<RecipeReading> {
  if (text.length > FILE_LIMITS.letters) return refuse('tooLong', 'file', { max: FILE_LIMITS.letters });
  const bare = text.replace(/^\uFEFF/, '');
  if (bare.trim() === '') return refuse('required', 'file');
  if (bare.split('\n').length > FILE_LIMITS.rows) return refuse('tooMany', 'file', { max: FILE_LIMITS.rows });
  // what parts the cells is seen in rows that hold some; blank rows are counted, so that a row's number is the one a spreadsheet shows
  const { delimiter } = papa.parse(bare, { skipEmptyLines: 'greedy', preview: 20 }).meta;
  const parsed = papa.parse(bare, { delimiter });
  const broken = parsed.errors.find(({ code }) => code === 'MissingQuotes' || code === 'InvalidQuotes');
  if (broken) return refuse('notText', `row.${(broken.row ?? 0) + 1}`);
  const [head = [], ...rows] = parsed.data;
  if (head.length > MOST_COLUMNS) return refuse('tooMany', 'row.1', { max: MOST_COLUMNS });
  const columns = head.map((name) => HEADS[name.trim().toLowerCase()] ?? null);
  if (!columns.includes('ingredient') && !columns.includes('id')) return refuse('wrongFormat', 'row.1');
  if (!columns.includes('grams')) return refuse('wrongFormat', 'row.1');

  const lines: SourceLine[] = [];
  const parts: { name: string; kind: StageKind; items: (IngredientLine & { number: number })[] }[] = [];
  for (const [index, row] of rows.entries()) {
    const number = index + 2;
    const cell: Partial<Record<(typeof COLUMNS)[number], string>> = {};
    if (row.length > MOST_COLUMNS) return refuse('tooMany', `row.${number}`, { max: MOST_COLUMNS });
    for (const [at, whole] of row.entries()) {
      const column = columns[at] ?? null;
      if (whole.length > 400) return refuse('tooLong', `row.${number}.${column ?? at + 1}`, { max: 400 });
      const raw = whole.trim();
      if (isRun(whole) && !/^[+-]?[\d.,]+$/.test(raw))
        return refuse('formulaCell', `row.${number}.${column ?? at + 1}`);
      if (!isPlain(raw, false)) return refuse('control', `row.${number}.${column ?? at + 1}`);
      if (column) cell[column] = fromText(raw);
    }
    if (row.every((whole) => whole.trim() === '')) continue;
    const gramsText = (cell.grams ?? '').replace(/\s*g$/i, '');
    const grams = parseDecimal(gramsText);
    if (!grams.ok) return refuse(grams.problem.code, `row.${number}.grams`);
    const inRange = within(grams.value, FORMULA_LIMITS.lineMassG, `row.${number}.grams`);
    if (!inRange.ok) return inRange;
    if ((cell.part ?? '').length > 40) return refuse('tooLong', `row.${number}.part`, { max: 40 });
    const kind = STAGE_KINDS.find((each) => each === cell.kind) ?? 'main';
    const last = parts.at(-1);
    const part =
      last?.name === (cell.part ?? '') && last.kind === kind
        ? last
        : { name: cell.part ?? '', kind, items: [] };
    if (part !== last) parts.push(part);
    const name = cell.ingredient ?? '';
    const known = cell.id && book.has(cell.id) ? cell.id : null;
    const match = known
      ? ({ kind: 'sure', ingredientId: known } as const)
      : matchIngredient(name || (cell.id ?? ''), book);
    const written = `${gramsText} g`;
    part.items.push({
      number,
      text: `${written} ${name || (cell.id ?? '')}`,
      ingredientId: match.kind === 'sure' ? match.ingredientId : null,
      candidates: match.kind === 'which' ? match.candidates : [],
      readings: [
        { written, weighed: { massG: grams.value, lowG: grams.value, highG: grams.value, by: 'mass' } },
      ],
      weighed: { massG: grams.value, lowG: grams.value, highG: grams.value, by: 'mass' },
      percent: null,
      note: cell.note ?? '',
      asks: match.kind === 'sure' ? [] : [match.kind],
    });
    lines.push({ number, text: row.join(', '), role: 'ingredient' });
  }
  if (lines.length === 0) return refuse('required', 'file');
  const makes = { pieces: null, pieceMassG: null };
  return ok({
    title: null,
    lines,
    parts,
    steps: [],
    stepAsks: [],
    makes,
    yieldText: null,
    notes: [],
    contradictions: [],
  });
}
