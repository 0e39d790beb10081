import * as z from 'zod';
import { many, one, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());

const shelfRow = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  name: z.string(),
  archivedAtMs: instant.nullable(),
  bakes: z.number().int(),
  lastBakedAtMs: instant.nullable(),
});
/** A formula as the shelf finds it: nothing of its sheet. */
export type ShelfRow = z.infer<typeof shelfRow>;

/** Where a page of the shelf ends and the next begins. */
export interface ShelfPlace {
  readonly name: string;
  readonly id: string;
  /** 0: never. */
  readonly lastBakedAtMs: number;
}

/** By name, or what was baked last first. */
export type ShelfOrder = 'name' | 'baked';

export interface ShelfFilter {
  /** Words of the name, in any order. */
  readonly words: readonly string[];
  readonly style: string | null;
  readonly archived: boolean;
  readonly order: ShelfOrder;
  readonly after: ShelfPlace | null;
  readonly most: number;
}

/** When it was baked last; what never was comes after all that were. */
const LAST = `coalesce(f.last_baked_at, 'epoch')`;

/** The statement for a filter and an order; only what is asked for stands in it. */
export function shelfQuery(
  kitchenId: string,
  { words, style, archived, order, after, most }: ShelfFilter,
): { text: string; values: unknown[] } {
  const values: unknown[] = [kitchenId];
  const value = (given: unknown): string => `$${values.push(given)}`;
  const where = words.map((word) => `and position(lower(${value(word)}) in lower(f.name)) > 0`);
  if (style) where.push(`and f.style = ${value(style)}`);
  if (after)
    where.push(
      order === 'name'
        ? `and (lower(f.name), f.id) > (lower(${value(after.name)}), ${value(after.id)}::uuid)`
        : `and (${LAST}, f.id) < (${value(new Date(after.lastBakedAtMs))}, ${value(after.id)}::uuid)`,
    );
  return {
    text: `select f.id, f.head as revision, f.name, f.archived_at as "archivedAtMs", f.bakes,
             f.last_baked_at as "lastBakedAtMs" from formula f
           where f.kitchen_id = $1 and f.archived_at is ${archived ? 'not null' : 'null'} ${where.join(' ')}
           order by ${order === 'name' ? 'lower(f.name), f.id' : `${LAST} desc, f.id desc`} limit ${value(most)}`,
    values,
  };
}

/** A page of the shelf. */
export async function listShelf(
  db: Queryable,
  kitchenId: string,
  filter: ShelfFilter,
): Promise<{ rows: ShelfRow[]; next: ShelfPlace | null }> {
  const { text, values } = shelfQuery(kitchenId, { ...filter, most: filter.most + 1 });
  const found = await many(db, { text, row: shelfRow }, values);
  const rows = found.slice(0, filter.most);
  const end = found.length > filter.most ? rows.at(-1) : undefined;
  return { rows, next: end ? { name: end.name, id: end.id, lastBakedAtMs: end.lastBakedAtMs ?? 0 } : null };
}

const countsRow = z.object({ onShelf: z.number().int(), archived: z.number().int() });

/** How many formulas a kitchen has on its shelf and in its archive. */
export const countShelf = (db: Queryable, kitchenId: string) =>
  one(
    db,
    {
      name: 'shelf-count',
      text: `select count(*) filter (where archived_at is null)::int as "onShelf",
               count(*) filter (where archived_at is not null)::int as archived from formula where kitchen_id = $1`,
      row: countsRow,
    },
    [kitchenId],
  );
