import * as z from 'zod';
import { bakeActionSchema, whoSchema } from '../bake/bakeEvent';
import { afterEvent, bakeState } from '../bake/bakeState';
import { decide } from '../bake/decide';
import { batchRequestSchema } from '../batch/batchRequest';
import { batchSheetSchema, type BatchSheet } from '../batch/batchSheet';
import { planBatch } from '../batch/planBatch';
import { checkFormula } from '../formula/checkFormula';
import type { Formula } from '../formula/formula';
import { formulaSchema } from '../formula/formulaSchema';
import { lifeDocumentSchema } from '../day/lifeDocument';
import { ordersDocumentSchema } from '../orders/orderDocument';
import { startersDocumentSchema } from '../starter/starterDocument';
import { sizeFromWords } from '../formula/sizeFromWords';
import { ORDINARY_KIT, withRoom, type Kit } from '../kit/kit';
import { kitchenDetailsSchema } from '../kit/kitchenDetails';
import { kitSchema } from '../kit/kitSchema';
import { roomOf } from '../kit/roomOf';
import { PLAIN_WAYS } from '../kit/plainWays';
import { processFromWords } from '../process/fromWords';
import { kitchenEntrySchema } from '../ingredients/kitchenEntrySchema';
import { bookWith } from '../ingredients/bookWith';
import { inForce, type StoredEntry } from '../ingredients/kitchenBook';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { readAs } from '../readAs';
import { ok, refuse, type Problem, type Result } from '../result';

/**
 * The open format of a whole kitchen: its formulas with every revision, and its bakes as the log of what happened.
 * Described with an example in docs/formats.md. Version history: 1, the first; 2, with the kitchen's own ingredients;
 * 3, with its kit; 4, height and scales in the kit and nowhere else, sizes in their field instead of in words; 5, everything: every
 * version of kit and ingredients, where formulas branched off, and the sheet each bake ran on; 6, how numbers and times are written, who bakes and who eats; 7,
 * lots, and which of them a bake was made of; 8, parts by purpose, steps as fields, ways; 9, sizes, vessels,
 * places and own measures in the kit, mixes in a bake's sheet; 11, when hands are free, starters, orders; 12, who did what; 13, tastings, photographs (their images lie beside it in the archive), ladders.
 */
export const KITCHEN_FORMAT = 'honest-crumb.kitchen';
export const KITCHEN_VERSION = 14;

const key = z.string().regex(/^[a-z0-9-]{1,60}$/);
const instant = z.iso.datetime({ offset: true });

const kitchenFileSchema = z.strictObject({
  format: z.literal(KITCHEN_FORMAT),
  version: z.literal(KITCHEN_VERSION),
  kitchen: kitchenDetailsSchema,
  /** Ovens, stones, tins, scales and the rest: every version, the oldest first. None: an ordinary kitchen. */
  kits: z.array(z.strictObject({ savedAt: instant, kit: kitSchema })).max(20_000),
  /** Own ingredients, blends and bags, laid over the library for everything below; of each every version, the oldest first. */
  ingredients: z
    .array(
      z.strictObject({
        versions: z
          .array(z.strictObject({ savedAt: instant, away: z.boolean(), entry: kitchenEntrySchema }))
          .min(1)
          .max(2000),
      }),
    )
    .max(2000),
  formulas: z
    .array(
      z.strictObject({
        key,
        /** When it was put away; null: it is on the shelf. */
        archivedAt: instant.nullable(),
        /** The formula and revision it began as a copy of. */
        branchedFrom: z.strictObject({ formula: key, revision: z.number().int().min(1) }).nullable(),
        /** Oldest first; the last is the current one. */
        revisions: z
          .array(z.strictObject({ savedAt: instant, formula: formulaSchema }))
          .min(1)
          .max(20_000),
      }),
    )
    .max(5000),
  bakes: z
    .array(
      z.strictObject({
        key,
        formula: key,
        /** Counted from 1, into that formula's revisions. */
        revision: z.number().int().min(1),
        startedAt: instant,
        batch: batchRequestSchema,
        /** As it was scaled and rounded then; null: it is planned anew when the file is read. */
        sheet: batchSheetSchema.nullable(),
        events: z
          .array(z.strictObject({ at: instant, by: whoSchema.optional(), action: bakeActionSchema }))
          .max(20_000),
      }),
    )
    .max(50_000),
  /** As they were last; null: nobody has said anything. What is planned for this week is not in it. */
  life: lifeDocumentSchema.nullable(),
  starters: startersDocumentSchema.nullable(),
  /** Each of a formula by its key; of one that is not in the file it is left out where it is read. */
  orders: ordersDocumentSchema.nullable(),
  /** What could not be read where the file was written, and so is not in it; of an entry of a log, the bake it is of. */
  leftOut: z
    .array(
      z.strictObject({
        kind: z.string().max(40),
        id: z.string().max(120),
        name: z.string().max(200).nullable(),
        of: key.nullable(),
      }),
    )
    .max(100_000),
});
export type KitchenFile = z.infer<typeof kitchenFileSchema>;

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
  4: (file) => {
    const { kit, ingredients, formulas, bakes, ...rest } = file as Record<string, unknown>;
    const since = firstSaving(formulas);
    return {
      ...rest,
      version: 5,
      kits: [{ savedAt: since, kit }],
      ingredients: each(ingredients, (entry) => ({ versions: [{ savedAt: since, away: false, entry }] })),
      formulas: each(formulas, ({ archived, ...formula }) => ({
        ...formula,
        archivedAt: archived === true ? lastSaving(formula) : null,
        branchedFrom: null,
      })),
      bakes: each(bakes, (bake) => ({ ...bake, sheet: null })),
      leftOut: [],
    };
  },
  5: (file) => {
    const { kitchen, ...rest } = file as Record<string, unknown>;
    return { ...rest, version: 6, kitchen: isObject(kitchen) ? { ...kitchen, ...PLAIN_WAYS } : kitchen };
  },
  6: (file) => ({ ...file, version: 7 }),
  7: (file) => {
    const { formulas, bakes, ...rest } = file as Record<string, unknown>;
    return {
      ...rest,
      version: 8,
      formulas: each(formulas, (formula) => ({
        ...formula,
        revisions: each(formula.revisions, (revision) => ({
          ...revision,
          formula: isObject(revision.formula) ? processFromWords(revision.formula) : revision.formula,
        })),
      })),
      bakes: each(bakes, (bake) => ({
        ...bake,
        sheet: isObject(bake.sheet) ? processFromWords(bake.sheet) : bake.sheet,
      })),
    };
  },
  8: (file) => {
    const { kits, ...rest } = file as Record<string, unknown>;
    return {
      ...rest,
      version: 9,
      kits: each(kits, (saved) => ({ ...saved, kit: isObject(saved.kit) ? withRoom(saved.kit) : saved.kit })),
    };
  },
  9: (file) => ({ ...file, version: 10 }),
  10: (file) => ({ ...file, version: 11, life: null, starters: null, orders: null }),
  11: (file) => ({ ...file, version: 12 }),
  12: (file) => ({ ...file, version: 13 }),
  13: (file) => ({ ...file, version: 14 }),
};

/** Each of a list in a file that nobody has checked yet; what is no list is left for the check. */
const each = (list: unknown, change: (one: Record<string, unknown>) => object): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => change(isObject(one) ? one : {})) : list;
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const savings = (formula: unknown): unknown[] => {
  const revisions = isObject(formula) ? formula.revisions : null;
  return Array.isArray(revisions)
    ? revisions.map((one: unknown) => (isObject(one) ? one.savedAt : null))
    : [];
};
const lastSaving = (formula: unknown): unknown => savings(formula).at(-1);
/** When anything of it was first saved: before that its kit and ingredients were there. */
const firstSaving = (formulas: unknown): unknown =>
  (Array.isArray(formulas) ? savings(formulas[0])[0] : null) ?? new Date(0).toISOString();

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
  const read = readAs(kitchenFileSchema, migrated);
  return read.ok ? checkKitchenFile(read.value, book) : read;
}

/** The newest of every ingredient, as the book takes them. */
export const newestEntries = ({ ingredients }: Pick<KitchenFile, 'ingredients'>): StoredEntry[] =>
  ingredients.flatMap(({ versions }) => {
    const newest = versions.at(-1);
    return newest
      ? [{ id: newest.entry.id, version: versions.length, away: newest.away, entry: newest.entry }]
      : [];
  });

/** The library with what a file's kitchen has of its own; a bag that was put away is not in use. */
export const fileBook = (file: KitchenFile, library: IngredientBook): Result<IngredientBook> =>
  bookWith(library, inForce(newestEntries(file)));
/** The kit a file's kitchen has now. */
export const newestKit = ({ kits }: Pick<KitchenFile, 'kits'>): Kit => kits.at(-1)?.kit ?? ORDINARY_KIT;

/** The kit as it was at a time. Their order is the list's: one that was saved while a clock was set back was saved after the one before it. */
function kitAt({ kits }: Pick<KitchenFile, 'kits'>, at: string): Kit {
  let sinceMs = -Infinity;
  let found = kits[0]?.kit ?? ORDINARY_KIT;
  for (const { savedAt, kit } of kits) {
    sinceMs = Math.max(sinceMs, Date.parse(savedAt));
    if (sinceMs <= Date.parse(at)) found = kit;
  }
  return found;
}

/** The sheet of a bake: the one it ran on, or, where the file has none, planned with the kitchen as it was then. */
export function sheetOf(
  file: KitchenFile,
  bake: KitchenFile['bakes'][number],
  formula: Formula,
  book: IngredientBook,
): Result<BatchSheet> {
  if (bake.sheet) return ok(bake.sheet);
  const kit = kitAt(file, bake.startedAt);
  return planBatch(formula, bake.batch, kit.scales, book, roomOf(kit, formula));
}

/** A history is of one entry. When each was saved is as the clocks said then, and one may have been set back: their order is the list's. */
function checkEntries(file: KitchenFile): Problem | null {
  for (const [index, { versions }] of file.ingredients.entries()) {
    const other = versions.findIndex(({ entry }) => entry.id !== versions[0]?.entry.id);
    if (other >= 0) return { code: 'notAllowed', path: `ingredients.${index}.versions.${other}.entry.id` };
  }
  const ids = newestEntries(file).map(({ id }) => id);
  return new Set(ids).size === ids.length ? null : { code: 'duplicateId', path: 'ingredients' };
}

/** What makes a formula one that cannot be shown at all. */
const UNREADABLE: ReadonlySet<Problem['code']> = new Set(['unknownIngredient', 'duplicateId']);

function checkFormulas(file: KitchenFile, book: IngredientBook): Problem | null {
  const formulas = new Map(file.formulas.map((formula) => [formula.key, formula]));
  if (formulas.size !== file.formulas.length) return { code: 'duplicateId', path: 'formulas' };
  for (const [index, { revisions, branchedFrom }] of file.formulas.entries()) {
    for (const [number, { formula }] of revisions.entries()) {
      // what was saved under an earlier bag may be beyond today's limits, and was true then
      const problem = checkFormula(formula, book).find(({ code }) => UNREADABLE.has(code));
      if (problem)
        return { ...problem, path: `formulas.${index}.revisions.${number}.formula.${problem.path}` };
    }
    const from = branchedFrom && formulas.get(branchedFrom.formula);
    // the one it began as a copy of may be among what could not be read
    if (branchedFrom && !from && file.leftOut.length > 0) continue;
    if (branchedFrom && !from?.revisions[branchedFrom.revision - 1])
      return { code: 'notAllowed', path: `formulas.${index}.branchedFrom` };
  }
  return null;
}

function checkBakes(file: KitchenFile, book: IngredientBook): Problem | null {
  const formulas = new Map(file.formulas.map((formula) => [formula.key, formula]));
  if (new Set(file.bakes.map((bake) => bake.key)).size !== file.bakes.length)
    return { code: 'duplicateId', path: 'bakes' };
  const torn = new Set(file.leftOut.flatMap(({ kind, of }) => (kind === 'bakeAction' && of ? [of] : [])));
  for (const [index, bake] of file.bakes.entries()) {
    const revision = formulas.get(bake.formula)?.revisions[bake.revision - 1];
    if (!revision) return { code: 'notAllowed', path: `bakes.${index}.formula` };
    const sheet = sheetOf(file, bake, revision.formula, book);
    if (!sheet.ok) return { ...sheet.problem, path: `bakes.${index}.batch` };
    // where an entry of a log is missing, those after it may not follow any more: they happened all the same
    const whole = !torn.has(bake.key);
    let beforeMs = Date.parse(bake.startedAt);
    let state = bakeState(beforeMs, []);
    for (const [number, { at, action }] of bake.events.entries()) {
      const path = `bakes.${index}.events.${number}`;
      const atMs = Date.parse(at);
      if (atMs < beforeMs) return { code: 'rangeReversed', path: `${path}.at` };
      beforeMs = atMs;
      const allowed = decide(sheet.value, state, action, book);
      if (!allowed.ok && whole) return { ...allowed.problem, path };
      state = afterEvent(state, { seq: number + 1, atMs, action });
    }
  }
  return null;
}

function checkKitchenFile(file: KitchenFile, library: IngredientBook): Result<KitchenFile> {
  const entries = checkEntries(file);
  if (entries) return { ok: false, problem: entries };
  const merged = fileBook(file, library);
  if (!merged.ok)
    return { ok: false, problem: { ...merged.problem, path: `ingredients.${merged.problem.path}` } };
  const problem = checkFormulas(file, merged.value) ?? checkBakes(file, merged.value);
  return problem ? { ok: false, problem } : ok(file);
}
