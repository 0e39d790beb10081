import type { BakeRecord } from '@/core/bake';
import { findBake, findBakes, listEvents, type BakeEventRow, type BakeRow } from '@/db/queries/bakes';
import { readable } from './bakeCards';
import type { Context } from './context';

/** Bakes with their logs. */
export async function withEvents(
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  bakes: readonly BakeRow[],
): Promise<BakeRecord[]> {
  if (bakes.length === 0) return [];
  const events = await listEvents(
    pool,
    kitchen.id,
    bakes.map((bake) => bake.id),
  );
  const byBake = new Map<string, BakeEventRow[]>(bakes.map((bake) => [bake.id, []]));
  for (const event of events) byBake.get(event.bakeId)?.push(event);
  return bakes.map((bake) => {
    const rows = byBake.get(bake.id) ?? [];
    const read = readable(rows);
    return {
      ...bake,
      events: read,
      ...(read.length < rows.length && { unreadable: rows.length - read.length }),
    };
  });
}

/** Several bakes with their logs, in the order asked for; those that are not here, or cannot be read, are left out. */
export async function loadBakes(context: Context, ids: readonly string[]): Promise<BakeRecord[]> {
  const rows = await findBakes(context.pool, context.kitchen.id, ids);
  const found = new Map((await withEvents(context, rows)).map((bake) => [bake.id, bake]));
  return ids.flatMap((id) => found.get(id) ?? []);
}

/** @throws UnreadableDocument */
export async function loadBake(context: Context, id: string): Promise<BakeRecord | null> {
  const bake = await findBake(context.pool, context.kitchen.id, id);
  return bake ? ((await withEvents(context, [bake]))[0] ?? null) : null;
}
