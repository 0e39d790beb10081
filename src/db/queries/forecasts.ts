import * as z from 'zod';
import { FORECAST, readDocument } from '@/core/documents';
import { forecastSchema, type Forecast } from '@/core/record/forecastSchema';
import { documentColumns, maybeOne, type Queryable } from '../rows';

/** Saves what was said of a bake, unless something was: the first word stands. Throws on one that could not be read again. */
export async function insertForecast(
  db: Queryable,
  kitchenId: string,
  bakeId: string,
  forecast: Forecast,
): Promise<void> {
  await db.query({
    name: 'forecast-in',
    text: `insert into bake_forecast (kitchen_id, bake_id, forecast, schema_version) values ($1, $2, $3, $4)
           on conflict (kitchen_id, bake_id) do nothing`,
    values: [kitchenId, bakeId, JSON.stringify(forecastSchema.parse(forecast)), FORECAST.version],
  });
}

/** What was said of a bake; `unreadable`: something was, in a shape this program does not know. */
export async function findForecast(
  db: Queryable,
  kitchenId: string,
  bakeId: string,
): Promise<Forecast | 'unreadable' | null> {
  const row = await maybeOne(
    db,
    {
      name: 'forecast',
      text: `select forecast as document, schema_version as "schemaVersion" from bake_forecast
             where kitchen_id = $1 and bake_id = $2`,
      row: z.object(documentColumns),
    },
    [kitchenId, bakeId],
  );
  if (!row) return null;
  const read = readDocument(FORECAST, row.schemaVersion, row.document);
  return read.ok ? read.value : 'unreadable';
}
