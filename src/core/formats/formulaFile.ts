import * as z from 'zod';
import { checkFormula } from '../formula/checkFormula';
import { allLines, type Formula } from '../formula/formula';
import { formulaSchema } from '../formula/formulaSchema';
import { sizeFromWords } from '../formula/sizeFromWords';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { kitchenEntrySchema, type KitchenEntry } from '../ingredients/kitchenEntrySchema';
import { bookWith } from '../ingredients/bookWith';
import { readAs } from '../readAs';
import { ok, refuse, type Result } from '../result';
import { processFromWords } from '../process/fromWords';
import { readJson } from './readJson';

/**
 * The open format of one formula, with whatever of the writer's own ingredients it needs to be understood elsewhere.
 * Described with an example in docs/formats.md. Version history: 1, the first; 2, sizes
 * in their field instead of in words; 3, parts by purpose, steps as fields, ways.
 */
export const FORMULA_FORMAT = 'honest-crumb.formula';
const FORMULA_VERSION = 3;

const formulaFileSchema = z.strictObject({
  format: z.literal(FORMULA_FORMAT),
  version: z.literal(3),
  formula: formulaSchema,
  /** Own ingredients, blends and bags the formula uses, directly or inside one another. */
  ingredients: z.array(kitchenEntrySchema).max(500),
});
type FormulaFile = z.infer<typeof formulaFileSchema>;

/** One migration per old version, each to the next. Every old version has a fixture that is read for ever. */
const MIGRATIONS: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => {
    const { formula } = file as { formula?: unknown };
    const sized =
      typeof formula === 'object' && formula !== null
        ? sizeFromWords(formula as Record<string, unknown>)
        : formula;
    return { ...file, version: 2, formula: sized };
  },
  2: (file) => {
    const { formula } = file as { formula?: unknown };
    const read =
      typeof formula === 'object' && formula !== null
        ? processFromWords(formula as Record<string, unknown>)
        : formula;
    return { ...file, version: 3, formula: read };
  },
};

export interface ReadFormulaFile {
  readonly file: FormulaFile;
  /** The library with the file's own ingredients over it: what the formula is to be computed with. */
  readonly book: IngredientBook;
}

/**
 * Reads a formula file of any version, whole or not at all: text, shape, own ingredients (known parts, no cycles), and the
 * formula against them.
 * @param library what every reader has; the file's own entries are laid over it
 */
export function readFormulaFile(text: string, library: IngredientBook): Result<ReadFormulaFile> {
  const json = readJson(text);
  if (!json.ok) return json;
  const data = json.value;
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== FORMULA_FORMAT) {
    return refuse('wrongFormat', 'format');
  }
  const stated = (data as { version?: unknown }).version;
  if (typeof stated !== 'number' || !Number.isInteger(stated) || stated < 1 || stated > FORMULA_VERSION) {
    return refuse('wrongVersion', 'version', {
      version: JSON.stringify(stated ?? null).slice(0, 20),
      max: FORMULA_VERSION,
    });
  }
  let migrated: object = data;
  for (let version = stated; version < FORMULA_VERSION; version++) {
    const migrate = MIGRATIONS[version];
    if (!migrate) return refuse('wrongVersion', 'version', { version, max: FORMULA_VERSION });
    migrated = migrate(migrated);
  }
  const read = readAs(formulaFileSchema, migrated);
  if (!read.ok) return read;
  const book = bookWith(library, read.value.ingredients);
  if (!book.ok) return { ok: false, problem: { ...book.problem, path: `ingredients.${book.problem.path}` } };
  const problem = checkFormula(read.value.formula, book.value)[0];
  if (problem) return { ok: false, problem: { ...problem, path: `formula.${problem.path}` } };
  return ok({ file: read.value, book: book.value });
}

/** The entries of a kitchen that a formula needs, parts of blends before the blends that hold them. */
function entriesFor(formula: Pick<Formula, 'stages'>, entries: readonly KitchenEntry[]): KitchenEntry[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const found = new Map<string, KitchenEntry>();
  const visit = (id: string, inside: readonly string[]): void => {
    const entry = byId.get(id);
    if (!entry || found.has(id) || inside.includes(id)) return;
    if (entry.kind === 'blend') entry.parts.forEach((part) => visit(part.ingredientId, [...inside, id]));
    found.set(id, entry);
  };
  allLines(formula).forEach((line) => visit(line.ingredientId, []));
  return [...found.values()];
}

/** Writes a formula with the entries it needs; read back it is the same formula, number for number. */
export function writeFormulaFile(formula: Formula, entries: readonly KitchenEntry[]): string {
  const file: FormulaFile = {
    format: FORMULA_FORMAT,
    version: FORMULA_VERSION,
    formula,
    ingredients: entriesFor(formula, entries),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}
