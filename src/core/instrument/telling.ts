import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import {
  INSTRUMENT_KINDS,
  INSTRUMENT_LIMITS,
  POSSIBLE,
  SCALE_STEPS_G,
  type InstrumentKind,
} from './instrumentKinds';
import { isFigure, READING_STATES, type ReadingState } from './readingState';

/** Older than this is no news of anything: a reading that waited longer in its bridge is counted as late, and not looked at. */
export const LATE_MS = 24 * 3_600_000;
const MOST_AGO_MS = 366 * LATE_MS;

/** So many readings at once; what waited longer comes in several tellings. */
const MOST_READINGS = 500;

/** What an instrument, or the bridge before it, sends: readings of one instrument under an id of their own, so that the same again is known. */
export const tellingSchema = z.strictObject({
  tellingId: z.uuid(),
  /** Each is judged by itself: one that is nonsense takes no other with it. */
  readings: z.array(z.unknown()).min(1).max(MOST_READINGS),
});

const readingSchema = z.strictObject({
  /** How long before it was sent it was taken: an instrument needs no clock that is right, only one that runs. */
  agoMs: z.number().int().min(0).max(MOST_AGO_MS),
  /** g or °C, by what kind it is. */
  value: z.number(),
  state: z.enum(READING_STATES).optional(),
});

/** What adds an instrument to a kitchen. Its key is made where it is asked for, so that a wish that is sent twice is one; the server holds only its digest. */
export const addInstrumentSchema = z.strictObject({
  requestId: z.uuid(),
  name: plainText(INSTRUMENT_LIMITS.name).trim().min(1),
  kind: z.enum(INSTRUMENT_KINDS),
  /** In what steps a scale shows, g; null for a thermometer. */
  stepG: z.literal(SCALE_STEPS_G).nullable(),
  key: z.string().regex(/^[A-Za-z0-9_-]{43}$/),
});
export type AddInstrument = z.infer<typeof addInstrumentSchema>;

export interface TakenReading {
  readonly atMs: number;
  readonly value: number;
  readonly state: ReadingState;
}

/** Why a reading is not taken: it has no shape, nothing of its kind can show that, it is of another day. */
export interface RefusedReadings {
  readonly malformed: number;
  readonly impossible: number;
  readonly late: number;
}

/**
 * What of a telling is taken, each reading by itself.
 *
 * @param nowMs when it arrived, ms since 1970
 * @returns what is taken in the order it came, and how many of the others for which reason; together they are all that was sent
 */
export function judgeReadings(
  kind: InstrumentKind,
  readings: readonly unknown[],
  nowMs: number,
): { readonly taken: readonly TakenReading[]; readonly refused: RefusedReadings } {
  const taken: TakenReading[] = [];
  const refused = { malformed: 0, impossible: 0, late: 0 };
  const { min, max } = POSSIBLE[kind];
  for (const each of readings) {
    const read = readingSchema.safeParse(each);
    if (!read.success) refused.malformed += 1;
    else if (read.data.agoMs > LATE_MS) refused.late += 1;
    // what is beyond what it can show, or broken, shows anything
    else if (isFigure(read.data.state) && (read.data.value < min || read.data.value > max))
      refused.impossible += 1;
    else
      taken.push({
        atMs: nowMs - read.data.agoMs,
        value: read.data.value,
        state: read.data.state ?? 'steady',
      });
  }
  return { taken, refused };
}
