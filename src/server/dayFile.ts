import { DAY_FORMAT, DAY_VERSION, type dayFileSchema } from '@/core/planFile/planFile';
import { piecesOut } from '@/core/day/piecesOut';
import { NOT_SHARED, wheatMoments } from '@/core/day/shared';
import { KITCHEN_FORMAT, KITCHEN_VERSION, type KitchenFile } from '@/core/formats';
import type * as z from 'zod';
import type { Context } from './context';
import { loadDay, loadLife } from './day';
import { dayPageData } from './dayPage';
import { siftLarder } from './ingredients';
import { loadKit } from './kit';

const HOUR_MS = 3_600_000;
const LONGEST_MS = 48 * HOUR_MS;

type DayFile = z.input<typeof dayFileSchema>;

/**
 * What is planned as a file of its own: the kitchen as far as its batches need it, its hours, and what is to be made; `./crumb plan` reads it. What has been begun
 * is not in it, nor pins, or what is kept apart.
 */
export async function dayFile(context: Context): Promise<DayFile> {
  const { kitchen, now } = context;
  const [{ value: day }, { value: life }, { kit }, { stored }, { formulas, starters }] = await Promise.all([
    loadDay(context), loadLife(context), loadKit(context), siftLarder(context), dayPageData(context, null),
  ]); // prettier-ignore
  const nowMs = now().getTime();
  const savedAt = new Date(nowMs).toISOString();
  // each revision is a formula of its own: two batches may be of two of them
  const keyOf = ({ formulaId, revision }: { formulaId: string; revision: number }) =>
    `${formulaId}-${revision}`;
  const batches = day.batches.filter(({ bakeId, progress, ...batch }) =>
    bakeId === null && Object.keys(progress).length === 0 && formulas.some((each) => keyOf(each) === keyOf(batch)),
  ); // prettier-ignore
  const file: KitchenFile = {
    format: KITCHEN_FORMAT,
    version: KITCHEN_VERSION,
    kitchen: kitchen.details,
    kits: [{ savedAt, kit }],
    ingredients: stored.map(({ away, entry }) => ({ versions: [{ savedAt, away, entry }] })),
    formulas: formulas.map((each) => ({
      key: keyOf(each),
      archivedAt: null,
      branchedFrom: null,
      revisions: [{ savedAt, formula: each.formula }],
    })),
    bakes: [],
    life: null,
    starters: starters.value,
    orders: null,
    leftOut: [],
  };
  const lastMs = Math.max(nowMs, ...batches.map(({ ready }) => ready?.toMs ?? 0));
  return {
    format: DAY_FORMAT,
    version: DAY_VERSION,
    now: savedAt,
    until: new Date(Math.min(lastMs + 10 * HOUR_MS, nowMs + LONGEST_MS)).toISOString(),
    life: {
      zone: kitchen.details.timeZone,
      people: life.people,
      away: life.away.map(({ days, from, to, people }) => ({
        days,
        from,
        to,
        ...(people !== null && { people }),
      })),
      preferred: life.preferred.map(({ days, from, to }) => ({ days, from, to })),
      otherHours: life.otherHours,
      // while wheat hangs in the air nobody is there for it
      once: [
        ...life.once,
        ...wheatMoments(life.shared ?? NOT_SHARED, kitchen.details.timeZone, nowMs, nowMs + LONGEST_MS).dusty,
      ].map(({ fromMs, toMs }) => ({
        from: new Date(fromMs).toISOString(),
        to: new Date(toMs).toISOString(),
      })),
    },
    kitchen: { ...file },
    batches: batches.map((batch) => ({
      id: batch.id,
      formula: keyOf(batch),
      batch: batch.batch,
      ready: batch.ready && {
        from: new Date(batch.ready.fromMs).toISOString(),
        to: new Date(batch.ready.toMs).toISOString(),
      },
      levers: batch.levers,
      ...(batch.takenOut && { takenOut: { wayId: batch.takenOut.wayId, pieces: piecesOut(batch) } }),
    })),
  };
}
