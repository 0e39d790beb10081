import * as z from 'zod';
import { ALLERGENS } from '../ingredients/entryLimits';
import { hoursSchema } from './hoursSchema';
import { momentsOf } from './life';

/** What is kept apart for bread without gluten. */
export const OWN_TOOLS = ['stone', 'oil', 'baskets', 'sieves', 'boards', 'scale'] as const;
export type OwnTool = (typeof OWN_TOOLS)[number];

export const SHARED_LIMITS = {
  settleMin: { min: 0, max: 1440 },
  cleanMin: { min: 0, max: 180 },
  wheat: 20,
} as const;

/** A kitchen that is shared with wheat, or with what somebody must not eat. */
export const sharedSchema = z.strictObject({
  /** When wheat is worked. */
  wheat: z.array(hoursSchema).max(SHARED_LIMITS.wheat),
  /** Its dust settles for so long, min. */
  settleMin: z.number().int().min(SHARED_LIMITS.settleMin.min).max(SHARED_LIMITS.settleMin.max),
  /** Then all is cleaned down, min. */
  cleanMin: z.number().int().min(SHARED_LIMITS.cleanMin.min).max(SHARED_LIMITS.cleanMin.max),
  /** Without these before with these. */
  apart: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length),
  own: z.array(z.enum(OWN_TOOLS)).max(OWN_TOOLS.length),
});
export type Shared = z.infer<typeof sharedSchema>;

export const NOT_SHARED: Shared = { wheat: [], settleMin: 120, cleanMin: 20, apart: [], own: [] };

interface Moment {
  readonly fromMs: number;
  readonly toMs: number;
}

const MIN_MS = 60_000;

/** From when wheat is worked until its dust has settled, and the cleaning down after each. */
export function wheatMoments({ wheat, settleMin, cleanMin }: Shared, zone: string, fromMs: number, toMs: number): { readonly dusty: Moment[]; readonly cleans: Moment[] } {
  // what ended before it all may still hang in the air
  const backMs = fromMs - (settleMin + cleanMin) * MIN_MS;
  const dusty = wheat
    .flatMap((hours) => momentsOf(hours, zone, backMs, toMs))
    .map((moment) => ({ fromMs: moment.fromMs, toMs: moment.toMs + settleMin * MIN_MS }))
    .sort((a, b) => a.fromMs - b.fromMs);
  const cleans = dusty
    .filter((moment, at) => !dusty.some((other, index) => index !== at && other.fromMs <= moment.toMs && other.toMs > moment.toMs))
    .map((moment) => ({ fromMs: moment.toMs, toMs: moment.toMs + cleanMin * MIN_MS }));
  return { dusty, cleans };
} // prettier-ignore
