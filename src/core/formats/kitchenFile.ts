import * as z from 'zod';
import { bakeActionSchema } from '../bake/bakeEvent';
import { afterEvent, bakeState } from '../bake/bakeState';
import { decide } from '../bake/decide';
import { batchRequestSchema } from '../batch/batchRequest';
import { planBatch } from '../batch/planBatch';
import { checkFormula } from '../formula/checkFormula';
import { formulaSchema } from '../formula/formulaSchema';
import { sizeFromWords } from '../formula/sizeFromWords';
import { ORDINARY_KIT } from '../kit/kit';
import { kitchenDetailsSchema } from '../kit/kitchenDetails';
import { kitSchema } from '../kit/kitSchema';
import { kitchenEntrySchema } from '../ingredients/kitchenEntrySchema';
import { bookWith } from '../ingredients/bookWith';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { readAs } from '../readAs';
import { ok, refuse, type Result } from '../result';

/**
 * The open format of a whole kitchen: its formulas with every revision, and its bakes as the log of what happened.
 * Described with an example in docs/formats.md. Version history: 1, the first; 2, with the kitchen's own ingredients;
 * 3, with its kit; 4, height and scales in the kit and nowhere else, sizes in
 * their field instead of in words.
 */
export const KITCHEN_FORMAT = 'honest-crumb.kitchen';
const KITCHEN_VERSION = 4;

const key = z.string().regex(/^[a-z0-9-]{1,60}$/);
const instant = z.iso.datetime({ offset: true });

const kitchenFileV4Schema = z.strictObject({
  format: z.literal(KITCHEN_FORMAT),
  version: z.literal(4),
  kitchen: kitchenDetailsSchema,
  /** Ovens, stones, tins, scales and the rest. */
  kit: kitSchema,
  /** Own ingredients, blends and bags, laid over the library for everything below. */
  ingredients: z.array(kitchenEntrySchema).max(2000),
  formulas: z
    .array(
      z.strictObject({
        key,
        archived: z.boolean(),
        /** Oldest first; the last is the current one. */
        revisions: z
          .array(z.strictObject({ savedAt: instant, formula: formulaSchema }))
          .min(1)
          .max(2000),
      }),
    )
    .max(2000),
  bakes: z
    .array(
      z.strictObject({
        key,
        formula: key,
        /** Counted from 1, into that formula's revisions. */
        revision: z.number().int().min(1),
        startedAt: instant,
        batch: batchRequestSchema,
        events: z.array(z.strictObject({ at: instant, action: bakeActionSchema })).max(5000),
      }),
    )
    .max(20_000),
});
export type KitchenFile = z.infer<typeof kitchenFileV4Schema>;

/** What the words of a method said of a size, in its field: in every revision of a file that nobody has checked yet. */
const withSizes = (formulas: unknown): unknown =>
  !Array.isArray(formulas)
    ? formulas
    : formulas.map((each: { revisions?: unknown }) => ({
        ...each,
        revisions: !Array.isArray(each?.revisions)
          ? each?.revisions
          : each.revisions.map((revision: { formula?: unknown }) => ({
              ...revision,
              formula:
                typeof revision?.formula === 'object' && revision.formula !== null
                  ? sizeFromWords(revision.formula as Record<string, unknown>)
                  : revision?.formula,
            })),
      }));

/** One migration per old version, each to the next. Every old version has a fixture that is read for ever. */
const MIGRATIONS: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2, ingredients: [] }),
  2: (file) => ({ ...file, version: 3, kit: null }),
  3: (file) => {
    const { kitchen, kit, formulas, ...rest } = file as {
      formulas?: unknown;
      kitchen?: { altitudeM?: unknown; scales?: unknown };
      kit?: { scaleG?: unknown } | null;
    };
    const { altitudeM, scales, ...details } = kitchen ?? {};
    const { scaleG: _scaleG, ...known } = kit ?? { ...ORDINARY_KIT, altitudeM, scaleG: null };
    return {
      ...rest,
      version: 4,
      kitchen: details,
      kit: { ...known, scales },
      formulas: withSizes(formulas),
    };
  },
};

/**
 * Reads a kitchen file of any version and checks it whole: shapes, unique keys, formulas that could be saved, bakes whose
 * events could have happened in that order. All or nothing.
 *
 * @param data the parsed JSON
 * @returns the file in the current version, or the first problem with the path to it
 */
export function readKitchenFile(data: unknown, book: IngredientBook): Result<KitchenFile> {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== KITCHEN_FORMAT) {
    return refuse('wrongFormat', 'format');
  }
  let migrated: object = data;
  for (let version = Number((data as { version?: unknown }).version); version < KITCHEN_VERSION; version++) {
    const migrate = MIGRATIONS[version];
    if (!migrate) return refuse('wrongVersion', 'version', { version, max: KITCHEN_VERSION });
    migrated = migrate(migrated);
  }
  const read = readAs(kitchenFileV4Schema, migrated);
  return read.ok ? checkKitchenFile(read.value, book) : read;
}

function checkKitchenFile(file: KitchenFile, library: IngredientBook): Result<KitchenFile> {
  const merged = bookWith(library, file.ingredients);
  if (!merged.ok)
    return { ok: false, problem: { ...merged.problem, path: `ingredients.${merged.problem.path}` } };
  const book = merged.value;
  const formulas = new Map(file.formulas.map((formula) => [formula.key, formula]));
  if (formulas.size !== file.formulas.length) return refuse('duplicateId', 'formulas');
  if (new Set(file.bakes.map((bake) => bake.key)).size !== file.bakes.length)
    return refuse('duplicateId', 'bakes');
  for (const [index, { revisions }] of file.formulas.entries()) {
    for (const [number, { formula }] of revisions.entries()) {
      const problem = checkFormula(formula, book)[0];
      if (problem) {
        const path = `formulas.${index}.revisions.${number}.formula.${problem.path}`;
        return { ok: false, problem: { ...problem, path } };
      }
    }
  }
  for (const [index, bake] of file.bakes.entries()) {
    const revision = formulas.get(bake.formula)?.revisions[bake.revision - 1];
    if (!revision) return refuse('notAllowed', `bakes.${index}.formula`);
    const sheet = planBatch(revision.formula, bake.batch, file.kit.scales, book);
    if (!sheet.ok) return { ok: false, problem: { ...sheet.problem, path: `bakes.${index}.batch` } };
    let beforeMs = Date.parse(bake.startedAt);
    let state = bakeState(beforeMs, []);
    for (const [number, { at, action }] of bake.events.entries()) {
      const path = `bakes.${index}.events.${number}`;
      const atMs = Date.parse(at);
      if (atMs < beforeMs) return refuse('rangeReversed', `${path}.at`);
      beforeMs = atMs;
      const allowed = decide(sheet.value, state, action, book);
      if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, path } };
      state = afterEvent(state, { seq: number + 1, atMs, action });
    }
  }
  return ok(file);
}
