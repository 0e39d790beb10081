import { logCsv, logCsvHead } from '@/core/formats/logCsv';
import type { IngredientBook } from '@/core/ingredients';
import { logRow } from '@/core/record';
import { wholeBakes, type WholePlace } from '@/db/queries/whole';
import { loadBakes } from './bakeRecords';
import type { Context } from './context';

/** So many bakes are in memory at once. */
const AT_ONCE = 100;

async function* rowsOf(context: Context, formulaId: string | null, book: IngredientBook) {
  let after: WholePlace | null = null;
  do {
    const page: Awaited<ReturnType<typeof wholeBakes>> = await wholeBakes(context.pool, context.kitchen.id, { after, most: AT_ONCE }); // prettier-ignore
    const ids = page.rows.filter((bake) => formulaId === null || bake.formulaId === formulaId).map(({ id }) => id);
    yield (await loadBakes(context, ids)).map((bake) => logRow(bake, book));
    after = page.next;
  } while (after);
} // prettier-ignore

/** The log of a kitchen, or of one formula, as a table, oldest bake first, piece by piece. */
export async function* logAsCsv(context: Context, formulaId: string | null): AsyncGenerator<string, void> {
  const book = await context.book();
  yield logCsvHead();
  for await (const rows of rowsOf(context, formulaId, book)) yield logCsv(rows);
}

/** The same lines as JSON: `{format, version, kitchen, bakes}`. */
export async function* logAsJson(context: Context, formulaId: string | null): AsyncGenerator<string, void> {
  const book = await context.book();
  const head = { format: 'honest-crumb.log', version: 1, kitchen: context.kitchen.details.name };
  yield `${JSON.stringify(head).slice(0, -1)},"bakes":[`;
  let first = true;
  for await (const rows of rowsOf(context, formulaId, book)) {
    for (const row of rows) {
      yield `${first ? '' : ','}\n${JSON.stringify(row)}`;
      first = false;
    }
  }
  yield '\n]}\n';
}
