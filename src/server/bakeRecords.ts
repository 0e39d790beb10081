import type { BakeRecord } from '@/core/bake';
import { findBake, listEvents, type BakeEventRow, type BakeRow } from '@/db/queries/bakes';
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

/** @throws UnreadableDocument */
export async function loadBake(context: Context, id: string): Promise<BakeRecord | null> {
  const bake = await findBake(context.pool, context.kitchen.id, id);
  return bake ? ((await withEvents(context, [bake]))[0] ?? null) : null;
}
