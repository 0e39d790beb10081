import type pg from 'pg';
import type { SetAside } from '@/core/documents';
import { KITCHEN_FORMAT, KITCHEN_VERSION, type KitchenFile } from '@/core/formats';
import { listEvents } from '@/db/queries/bakes';
import {
  wholeBakes,
  wholeEntries,
  wholeFormulas,
  wholeKits,
  wholeRevisions,
  type WholePlace,
} from '@/db/queries/whole';
import { LIVES, newestVersion, ORDER_BOOK, STARTER_SHELF, type VersionStore } from '@/db/queries/versions';
import type { Context } from './context';
import { Busy } from './failure';

type FormulaInFile = KitchenFile['formulas'][number];
type BakeInFile = KitchenFile['bakes'][number];

/** Each holds a connection for as long as its reader reads: the others are for everybody else. */
const MOST_READERS = 2;
/** Whoever stops reading lets go of the connection after so long. */
const MOST_IDLE = '60s';
let readers = 0;

/** So many bakes are in memory at once. */
const AT_ONCE = 100;

/** Collects what cannot be read, and so cannot be written out, and what has to stay out with it. */
class LeftOut {
  readonly all: KitchenFile['leftOut'] = [];
  add(setAside: readonly SetAside[]): void {
    for (const { kind, id, name } of setAside)
      this.all.push({ kind, id, name: name?.slice(0, 200) ?? null, of: null });
  }
}

/** A document of the kitchen as it was last; null: nobody has said anything. */
async function newestOf<T>(
  db: pg.PoolClient,
  store: VersionStore<T>,
  kitchenId: string,
  leftOut: LeftOut,
): Promise<T | null> {
  const { newest, setAside } = await newestVersion(db, store, kitchenId);
  if (setAside) leftOut.add([setAside]);
  return newest?.value ?? null;
}

async function entriesOf(
  db: pg.PoolClient,
  kitchenId: string,
  leftOut: LeftOut,
): Promise<KitchenFile['ingredients']> {
  const { rows, setAside } = await wholeEntries(db, kitchenId);
  leftOut.add(setAside);
  const byId = new Map<string, KitchenFile['ingredients'][number]['versions']>();
  for (const { id, ...version } of rows) byId.set(id, [...(byId.get(id) ?? []), version]);
  return [...byId.values()].map((versions) => ({ versions }));
}

/**
 * A formula with every revision under its own number, as bakes refer to them; null: none of it can be read. In the place of one that
 * cannot be read stands the one before it.
 */
async function formulaOf(
  db: pg.PoolClient,
  kitchenId: string,
  { id, archivedAt, branchedFrom, branchedRevision }: Awaited<ReturnType<typeof wholeFormulas>>[number],
  leftOut: LeftOut,
): Promise<FormulaInFile | null> {
  const { rows, setAside } = await wholeRevisions(db, kitchenId, id);
  leftOut.add(setAside);
  const [first] = rows;
  if (!first) return null;
  const revisions: FormulaInFile['revisions'] = [];
  for (const { number, savedAt, formula } of rows) {
    while (revisions.length < number - 1)
      revisions.push(revisions.at(-1) ?? { savedAt: first.savedAt, formula: first.formula });
    revisions.push({ savedAt, formula });
  }
  const branch =
    branchedFrom && branchedRevision ? { formula: branchedFrom, revision: branchedRevision } : null;
  return { key: id, archivedAt, branchedFrom: branch, revisions };
}

async function bakesOf(
  db: pg.PoolClient,
  kitchenId: string,
  after: WholePlace | null,
  formulas: ReadonlySet<string>,
  leftOut: LeftOut,
): Promise<{ bakes: BakeInFile[]; next: WholePlace | null }> {
  const { rows, setAside, next } = await wholeBakes(db, kitchenId, { after, most: AT_ONCE });
  leftOut.add(setAside);
  const events = new Map<string, BakeInFile['events']>(rows.map(({ id }) => [id, []]));
  for (const { bakeId, seq, atMs, by, action } of await listEvents(db, kitchenId, [...events.keys()])) {
    if (action)
      events.get(bakeId)?.push({ at: new Date(atMs).toISOString(), ...(by !== null && { by }), action });
    else leftOut.all.push({ kind: 'bakeAction', id: `${bakeId} ${seq}`, name: null, of: bakeId });
  }
  const bakes = rows.flatMap(({ id, formulaId, revision, startedAt, batch, sheet }): BakeInFile[] => {
    if (formulas.has(formulaId))
      return [
        { key: id, formula: formulaId, revision, startedAt, batch, sheet, events: events.get(id) ?? [] },
      ];
    leftOut.all.push({ kind: 'bakePlan', id, name: sheet.name, of: null });
    return [];
  });
  return { bakes, next };
}

/** The parts of a list, each with the comma before it. */
async function* listed(parts: AsyncIterable<object>): AsyncGenerator<string, void> {
  let first = true;
  for await (const part of parts) {
    yield `${first ? '' : ','}\n${JSON.stringify(part)}`;
    first = false;
  }
}

/**
 * A whole kitchen in the open format, piece by piece as text: every version of everything, as it was at one moment. What cannot be read
 * is left out and named at its end.
 * @throws Busy where two are being written already
 */
export async function* exportKitchen({
  pool,
  kitchen,
}: Pick<Context, 'pool' | 'kitchen'>): AsyncGenerator<string, void> {
  if (readers >= MOST_READERS) throw new Busy();
  readers += 1;
  try {
    yield* wholeKitchen(await pool.connect(), kitchen);
  } finally {
    readers -= 1;
  }
}

async function* wholeKitchen(
  client: pg.PoolClient,
  kitchen: Context['kitchen'],
): AsyncGenerator<string, void> {
  const leftOut = new LeftOut();
  try {
    await client.query('begin isolation level repeatable read read only');
    await client.query(`set local idle_in_transaction_session_timeout = '${MOST_IDLE}'`);
    if (kitchen.setAside) leftOut.add([kitchen.setAside]);
    const kits = await wholeKits(client, kitchen.id);
    leftOut.add(kits.setAside);
    const head = {
      format: KITCHEN_FORMAT,
      version: KITCHEN_VERSION,
      kitchen: kitchen.details,
      kits: kits.rows,
      ingredients: await entriesOf(client, kitchen.id, leftOut),
    };
    yield `${JSON.stringify(head).slice(0, -1)},\n"formulas":[`;
    const known = new Set<string>();
    const formulas = await wholeFormulas(client, kitchen.id);
    yield* listed(
      (async function* () {
        for (const each of formulas) {
          const formula = await formulaOf(client, kitchen.id, each, leftOut);
          if (!formula) continue;
          known.add(each.id);
          yield formula;
        }
      })(),
    );
    yield '],\n"bakes":[';
    yield* listed(
      (async function* () {
        let after: WholePlace | null = null;
        do {
          const page: Awaited<ReturnType<typeof bakesOf>> = await bakesOf(
            client,
            kitchen.id,
            after,
            known,
            leftOut,
          );
          yield* page.bakes;
          after = page.next;
        } while (after);
      })(),
    );
    const newest = {
      life: await newestOf(client, LIVES, kitchen.id, leftOut),
      starters: await newestOf(client, STARTER_SHELF, kitchen.id, leftOut),
      orders: await newestOf(client, ORDER_BOOK, kitchen.id, leftOut),
    };
    yield `],\n${JSON.stringify(newest).slice(1, -1)},\n"leftOut":${JSON.stringify(leftOut.all)}}\n`;
  } finally {
    // nothing was written; a client that left in the middle leaves no transaction behind
    await client.query('rollback').then(
      () => client.release(),
      (error: Error) => client.release(error),
    );
  }
}
