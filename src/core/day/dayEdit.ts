import { TZDate } from '@date-fns/tz';
import type { BatchRequest } from '../batch';
import { ok, refuse, type Result } from '../result';
import type { DayBatchDocument, DayDocument } from './dayDocument';
import { DAY_LIMITS } from './dayLimits';
import type { LeverKind } from './levers';

type Ready = DayBatchDocument['ready'];
type NotHot = NonNullable<DayDocument['notHot']>[number];

/** A change of a day, as a hand makes it. What a batch is wanted as decides where it lies: then it is laid out from the beginning. */
export type DayEdit =
  | { readonly type: 'add'; readonly batch: Pick<DayBatchDocument, 'id' | 'formulaId' | 'revision' | 'name' | 'orders' | 'takenOut'> & { readonly batch: BatchRequest; readonly ready: Ready } }
  | { readonly type: 'remove'; readonly batchId: string }
  | { readonly type: 'ready'; readonly batchId: string; readonly ready: Ready }
  | { readonly type: 'spare'; readonly batchId: string; readonly spareMin: number | null }
  | { readonly type: 'levers'; readonly batchId: string; readonly levers: readonly LeverKind[] }
  | { readonly type: 'amount'; readonly batchId: string; readonly batch: BatchRequest }
  | { readonly type: 'ovens'; readonly batchId: string; readonly ovenIds: readonly string[] }
  | { readonly type: 'pin'; readonly batchId: string; readonly blockId: string; readonly startMs: number }
  | { readonly type: 'unpin'; readonly batchId: string; readonly blockId: string | null }
  | { readonly type: 'begun'; readonly batchId: string; readonly blockId: string; readonly atMs: number }
  | { readonly type: 'over'; readonly batchId: string; readonly blockId: string; readonly atMs: number }
  | { readonly type: 'longer'; readonly batchId: string; readonly blockId: string; readonly startMs: number; readonly lastsS: number }
  | { readonly type: 'takeBack'; readonly batchId: string; readonly blockId: string }
  | ({ readonly type: 'notHot' } & NotHot)
  | { readonly type: 'have'; readonly ingredientId: string; readonly massG: number | null }
  | { readonly type: 'hot'; readonly ovenId: string }
  | { readonly type: 'bake'; readonly batchId: string; readonly bakeId: string }; // prettier-ignore

/** How far ahead a day may be planned. */
export const FURTHEST_MS = 7 * 86_400_000;

function fits(ready: Ready, nowMs: number): Result<null> {
  if (!ready) return ok(null);
  if (ready.toMs < ready.fromMs) return refuse('rangeReversed', 'ready');
  if (ready.toMs <= nowMs) return refuse('tooSmall', 'ready');
  if (ready.toMs > nowMs + FURTHEST_MS) return refuse('tooLarge', 'ready');
  return ok(null);
}

/**
 * A day with a change made.
 *
 * @returns `tooMany` at batches; `tooSmall` (before now), `tooLarge` (more than a week ahead), `rangeReversed` at ready; `notAllowed` where the batch is not
 *   there any more
 */
export function editDay(day: DayDocument, edit: DayEdit, nowMs: number): Result<DayDocument> {
  if (edit.type === 'add') {
    if (day.batches.length >= DAY_LIMITS.most) return refuse('tooMany', 'batches', { max: DAY_LIMITS.most });
    const good = fits(edit.batch.ready, nowMs);
    if (!good.ok) return good;
    const made: DayBatchDocument = { levers: [], ovenIds: [], variantId: '', at: {}, pins: {}, progress: {}, bakeId: null, ...edit.batch };
    return ok({ ...day, batches: [...day.batches, made] });
  }
  if (edit.type === 'hot' || edit.type === 'notHot') {
    const { notHot: said = [], ...rest } = day;
    const others = said.filter(({ ovenId, untilMs }) => ovenId !== edit.ovenId && untilMs > nowMs);
    const { type: _, ...told } = edit;
    const notHot = 'untilMs' in told ? [...others, told] : others;
    return ok({ ...rest, ...(notHot.length > 0 && { notHot }) });
  }
  if (edit.type === 'have') {
    const { have: known = [], ...rest } = day;
    const { ingredientId, massG } = edit;
    if (massG !== null && !(massG >= 0 && massG <= DAY_LIMITS.haveG.max)) return refuse('tooLarge', 'massG', { max: DAY_LIMITS.haveG.max });
    const have = [...known.filter((each) => each.ingredientId !== ingredientId), ...(massG === null ? [] : [{ ingredientId, massG }])];
    if (have.length > DAY_LIMITS.have) return refuse('tooMany', 'have', { max: DAY_LIMITS.have });
    return ok({ ...rest, ...(have.length > 0 && { have }) });
  }
  if (!day.batches.some(({ id }) => id === edit.batchId)) return refuse('notAllowed', 'batchId');
  if (edit.type === 'remove') return ok({ ...day, batches: day.batches.filter(({ id }) => id !== edit.batchId) });
  if (edit.type === 'ready') {
    const good = fits(edit.ready, nowMs);
    if (!good.ok) return good;
  }
  const change = (batch: DayBatchDocument): DayBatchDocument => {
    const begun = Object.keys(batch.progress).length > 0 || batch.bakeId !== null;
    // what has begun stays where it is; else it finds its place anew
    const anew = begun ? {} : { at: {} };
    switch (edit.type) {
      case 'ready':
        return { ...batch, ...anew, ready: edit.ready };
      case 'spare': {
        const { spareMin: _, ...plain } = batch;
        return { ...plain, ...anew, ...(edit.spareMin !== null && { spareMin: edit.spareMin }) };
      }
      case 'levers':
        return { ...batch, ...anew, levers: [...edit.levers] };
      case 'amount':
        return { ...batch, ...anew, batch: edit.batch, pins: {} };
      case 'ovens':
        return { ...batch, ...anew, ovenIds: [...edit.ovenIds] };
      case 'pin':
        // what comes before it follows it, as late as it can be
        return { ...batch, ...anew, pins: { ...batch.pins, [edit.blockId]: edit.startMs } };
      case 'unpin': {
        const { [edit.blockId ?? '']: _, ...pins } = batch.pins;
        return { ...batch, ...anew, pins: edit.blockId === null ? {} : pins };
      }
      case 'begun':
        return withProgress(batch, edit.blockId, { startMs: edit.atMs, endMs: null, lastsS: null });
      case 'over': {
        const startMs = batch.progress[edit.blockId]?.startMs ?? Math.min(edit.atMs, batch.at[edit.blockId]?.startMs ?? edit.atMs);
        return withProgress(batch, edit.blockId, { startMs, endMs: edit.atMs, lastsS: null });
      }
      case 'longer':
        return withProgress(batch, edit.blockId, { startMs: edit.startMs, endMs: null, lastsS: edit.lastsS });
      case 'takeBack': {
        const { [edit.blockId]: _, ...progress } = batch.progress;
        return { ...batch, progress };
      }
      case 'bake':
        return { ...batch, bakeId: edit.bakeId };
    }
  };
  return ok({ ...day, batches: day.batches.map((batch) => (batch.id === edit.batchId ? change(batch) : batch)) });
} // prettier-ignore

/** A block that goes on for a quarter of an hour more, from its end or from now where that is over. */
export const longer = (batchId: string, blockId: string, { startMs, endMs }: { readonly startMs: number; readonly endMs: number }, nowMs: number): DayEdit =>
  ({ type: 'longer', batchId, blockId, startMs, lastsS: Math.round((Math.max(endMs, nowMs) - startMs) / 1000) + 900 }); // prettier-ignore

/** What is said of a block by hand; a pin has no more to say once it has begun. */
function withProgress(
  batch: DayBatchDocument,
  blockId: string,
  progress: DayBatchDocument['progress'][string],
): DayBatchDocument {
  const { [blockId]: _, ...pins } = batch.pins;
  return { ...batch, pins, progress: { ...batch.progress, [blockId]: progress } };
}

/** A moment by the clock on the wall of a kitchen: that time of that day, so many days on. A time that a change of the clock leaves out is the one after it. */
export function wallMs(zone: string, nowMs: number, daysOn: number, clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  const today = new TZDate(nowMs, zone);
  return new TZDate(
    today.getFullYear(),
    today.getMonth(),
    today.getDate() + daysOn,
    hours,
    minutes,
    zone,
  ).getTime();
}

/** A time as a date field writes it, "2026-11-28T19:00", by the clock of a kitchen; null: it is none. */
export function wallFieldMs(zone: string, text: string): number | null {
  const found = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(text);
  if (!found) return null;
  const [year = 0, month = 1, day = 1, hours = 0, minutes = 0] = found.slice(1).map(Number);
  const ms = new TZDate(year, month - 1, day, hours, minutes, zone).getTime();
  return Number.isFinite(ms) ? ms : null;
}

/** When a day begins, "2026-11-28", by the clock of a kitchen, or the one so many days after it; null: it is none. */
export function dayMs(zone: string, day: string, later = 0): number | null {
  const [, year = 0, month = 0, date = 0] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(day)?.map(Number) ?? [];
  const at = new TZDate(year, month - 1, date, zone);
  // no day is the 31st of February
  const isOne =
    year >= 1970 && at.getFullYear() === year && at.getMonth() === month - 1 && at.getDate() === date;
  return isOne ? new TZDate(year, month - 1, date + later, zone).getTime() : null;
}

/** A moment as a date field wants it. */
export function wallField(zone: string, ms: number): string {
  const at = new TZDate(ms, zone);
  const two = (figure: number) => String(figure).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** Times a bread is often wanted at, from now on: the next of each, none nearer than two hours. */
export function usualTimes(zone: string, nowMs: number): { readonly name: 'noon' | 'supper' | 'morning' | 'market'; readonly ms: number }[] {
  const soonest = nowMs + 2 * 3_600_000;
  const next = (clock: string): number => [0, 1].map((days) => wallMs(zone, nowMs, days, clock)).find((ms) => ms >= soonest) ?? wallMs(zone, nowMs, 2, clock);
  const saturday = Array.from({ length: 8 }, (_, days) => wallMs(zone, nowMs, days, '08:00')).find((ms) => ms >= soonest && new TZDate(ms, zone).getDay() === 6);
  return [
    { name: 'supper', ms: next('19:00') },
    { name: 'morning', ms: next('08:00') },
    { name: 'noon', ms: next('12:30') },
    ...(saturday ? [{ name: 'market' as const, ms: saturday }] : []),
  ];
} // prettier-ignore
