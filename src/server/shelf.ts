import { LRUCache } from 'lru-cache';
import type { SetAside } from '@/core/documents';
import { formulaTotals, type Formula, type FormulaTotals, type Style } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { findFormulas } from '@/db/queries/formulas';
import {
  countShelf,
  listShelf,
  type ShelfFilter,
  type ShelfOrder,
  type ShelfPlace,
} from '@/db/queries/shelf';
import { signatureOf } from './computedAnswers';
import type { Context } from './context';
import { wordsOf } from './wordsOf';

export type { ShelfOrder, ShelfPlace };

/** The figures a dough is known by. */
interface DoughFigures {
  readonly style: Style;
  readonly hydrationAll: number | null;
  readonly binders: readonly { readonly name: string; readonly percent: number | null }[];
  /** The most first. */
  readonly flours: readonly { readonly name: string; readonly percent: number }[];
}

/** A formula on the shelf. */
interface FormulaCard extends DoughFigures {
  readonly id: string;
  readonly name: string;
  readonly bakes: number;
  readonly lastBakedAtMs: number | null;
}

export interface Shelf {
  readonly cards: FormulaCard[];
  readonly setAside: SetAside[];
  readonly next: ShelfPlace | null;
  /** Of all formulas, found or not. */
  readonly counts: { readonly onShelf: number; readonly archived: number };
}

/** So many flours stand on a card. */
const FLOURS_SHOWN = 3;

function doughFigures(formula: Formula, book: IngredientBook): DoughFigures {
  const totals = formulaTotals(formula, book);
  const name = (ingredientId: string) => book.get(ingredientId)?.name ?? ingredientId;
  return {
    style: formula.style,
    hydrationAll: totals.hydrationAll,
    binders: totals.binders.map((binder) => ({ name: name(binder.ingredientId), percent: binder.percent })),
    flours: [...floursPercent(formula, totals)]
      .sort(([, a], [, b]) => b - a)
      .slice(0, FLOURS_SHOWN)
      .map(([ingredientId, percent]) => ({ name: name(ingredientId), percent })),
  };
}

/** Each flour once, however many lines it stands in. */
function floursPercent(formula: Formula, totals: FormulaTotals): ReadonlyMap<string, number> {
  const percents = new Map<string, number>();
  for (const { id, ingredientId } of formula.stages.flatMap((stage) => stage.lines)) {
    if (!totals.baseLineIds.has(id)) continue;
    percents.set(ingredientId, (percents.get(ingredientId) ?? 0) + (totals.linePercent.get(id) ?? 0));
  }
  return percents;
}

/** By all they follow from: formula, revision and larder. */
const remembered = new LRUCache<string, DoughFigures>({ max: 3000 });

/** So many names are handed out at once. */
const NAMES = 40;

/** The formulas on the shelf by name, found by words. */
export async function formulaNames(
  { pool, kitchen }: Context,
  find: string,
  most = NAMES,
): Promise<{ readonly id: string; readonly name: string }[]> {
  const { rows } = await listShelf(pool, kitchen.id, {
    words: wordsOf(find),
    style: null,
    archived: false,
    order: 'name',
    after: null,
    most,
  });
  return rows.map(({ id, name }) => ({ id, name }));
}

/** A page of the shelf, each formula with the figures a baker knows a dough by; and what of it cannot be read. */
export async function loadShelf(context: Context, filter: ShelfFilter): Promise<Shelf> {
  const { pool, kitchen } = context;
  const [{ rows, next }, counts, larder] = await Promise.all([
    listShelf(pool, kitchen.id, filter),
    countShelf(pool, kitchen.id),
    context.larder(),
  ]);
  const around = signatureOf(kitchen.epoch, kitchen.id, larder.signature);
  const figures = new Map<string, DoughFigures>();
  for (const { id, revision } of rows) {
    const found = remembered.get(`${around} ${id} ${revision}`);
    if (found) figures.set(id, found);
  }
  const unknown = rows.filter(({ id }) => !figures.has(id)).map(({ id }) => id);
  const read =
    unknown.length > 0 ? await findFormulas(pool, kitchen.id, unknown) : { rows: [], setAside: [] };
  for (const { id, revision, formula } of read.rows) {
    const made = doughFigures(formula, larder.book);
    remembered.set(`${around} ${id} ${revision}`, made);
    figures.set(id, made);
  }
  return {
    cards: rows.flatMap(({ id, name, bakes, lastBakedAtMs }) => {
      const known = figures.get(id);
      return known ? [{ id, name, bakes, lastBakedAtMs, ...known }] : [];
    }),
    setAside: read.setAside,
    next,
    counts,
  };
}
