import { asWay } from '@/core/formula';
import { runKitchenOf } from '@/core/kit';
import type { Forecast } from '@/core/record';
import { findForecast, insertForecast } from '@/db/queries/forecasts';
import { findRevision } from '@/db/queries/formulas';
import { loadBake } from './bakeRecords';
import type { Context } from './context';
import { loadCuts, shownKitchen } from './cutsRead';
import { loadAround, loadLearnt, taughtKitchen } from './learnt';
import { simulation } from './simulations';

/**
 * What the models said of a bake when it began. Of one that has none (it is older than forecasts, or came with a file) it is made now and says so by its
 * time; what was said first stands.
 *
 * @returns null where nothing can be said: a ladder, a formula that cannot be read, no rise
 */
export async function bakeForecast(
  context: Context,
  bakeId: string,
  gone?: AbortSignal,
): Promise<Forecast | null> {
  const { pool, kitchen, now } = context;
  const earlier = await findForecast(pool, kitchen.id, bakeId);
  if (earlier) return earlier === 'unreadable' ? null : earlier;
  const bake = await loadBake(context, bakeId);
  if (!bake || bake.sheet.ladder) return null;
  const made = await findRevision(pool, kitchen.id, bake.formulaId, bake.revision);
  if (!made || gone?.aborted) return null;
  const { book, kit } = await loadAround(context);
  const learning = await loadLearnt(context, bake.formulaId, gone);
  const before = (await loadCuts(context, bake.formulaId, gone)).filter(
    (cut) => cut.startedAtMs < bake.startedAtMs,
  );
  // what was learnt may be missing where whoever asked has left: a forecast is saved for good
  if (gone?.aborted) return null;
  const plain = runKitchenOf(kit, asWay(made.formula));
  // also where whoever asked has left: it is saved, and asked for again
  const forecast = await simulation('forecast', {
    sheet: bake.sheet,
    formula: made.formula,
    book,
    kitchen: shownKitchen(taughtKitchen(plain, learning), before),
    madeAtMs: now().getTime(),
  });
  if (!forecast) return null;
  await insertForecast(pool, kitchen.id, bakeId, forecast);
  // of two who asked at once the first was saved
  const saved = await findForecast(pool, kitchen.id, bakeId);
  return saved === 'unreadable' ? null : saved;
}
