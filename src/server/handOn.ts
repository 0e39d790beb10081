import { stateOf } from '@/core/bake';
import { loadBake } from './bakeRecords';
import type { Context } from './context';
import { bakeForecast } from './forecasts';
import { photo } from './photos';
import { bakeSlices } from './slices';

/** More pictures make a file nobody can send. */
const MOST_PICTURES = 4;

/** All that a page of one bake shows, for whoever it is handed on to; null: it is not here. */
export async function toHandOn(context: Context, bakeId: string, gone?: AbortSignal) {
  const bake = await loadBake(context, bakeId);
  if (!bake) return null;
  const shown = [...stateOf(bake).photos.values()].filter(({ away }) => !away).slice(-MOST_PICTURES);
  const [forecast, { slice }, book, ...jpegs] = await Promise.all([
    bakeForecast(context, bakeId, gone),
    bakeSlices(context, bakeId, gone),
    context.book(),
    ...shown.map(({ photoId }) => photo(context, { bakeId, photoId, small: false })),
  ]);
  const pictures = shown.flatMap(({ of }, index) => {
    const jpeg = jpegs[index];
    return jpeg ? [{ of, jpeg }] : [];
  });
  const { name, timeZone, decimalMark } = context.kitchen.details;
  return { bake, book, kitchen: { name, timeZone, decimalMark }, forecast, slice, pictures };
}
