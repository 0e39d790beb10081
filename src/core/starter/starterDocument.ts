import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import { BAD_SIGNS, SCHOOLS, STARTER_LIMITS, STARTER_PLACES } from './starterLimits';

const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);
const massG = within(STARTER_LIMITS.massG);
const feedG = within(STARTER_LIMITS.feedG);
const told = { id: z.uuid(), atMs: z.number().int().min(0).max(8_640_000_000_000) };
const place = { place: z.enum(STARTER_PLACES), tempC: within(STARTER_LIMITS.tempC) };

/** What happened to a starter, as the baker says it. */
const starterEventSchema = z.discriminatedUnion('kind', [
  /** So much of it was kept and fed; what was over went to the discard jar or away. `keptG` 0: flour and water alone, to begin one. */
  z.strictObject({ kind: z.literal('fed'), ...told, ...place, keptG: massG, flourG: feedG, waterG: feedG, rest: z.enum(['jar', 'away']) }),
  z.strictObject({ kind: z.literal('moved'), ...told, ...place }),
  /** It is at its highest. */
  z.strictObject({ kind: z.literal('top'), ...told }),
  /** Some of it went into a dough, or to somebody. */
  z.strictObject({ kind: z.literal('taken'), ...told, massG }),
  /** What is in the jar, weighed. */
  z.strictObject({ kind: z.literal('weighed'), ...told, massG }),
  /** Out of the discard jar. */
  z.strictObject({ kind: z.literal('discardUsed'), ...told, massG }),
  /** It lifts bread: it has been built. */
  z.strictObject({ kind: z.literal('grown'), ...told }),
  z.strictObject({ kind: z.literal('thrown'), ...told, sign: z.enum(BAD_SIGNS).nullable() }),
]); // prettier-ignore
export type StarterEvent = z.infer<typeof starterEventSchema>;

const starterSchema = z.strictObject({
  id: z.uuid(),
  name: plainText(STARTER_LIMITS.name).trim().min(1),
  /** As formulas name it: of the library, or a mixture of the kitchen's own. What flour and water it is follows from that. */
  ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
  school: z.enum(SCHOOLS),
  /** So much is kept at a feed; null: all of it. */
  keepG: feedG.nullable(),
  flourG: feedG,
  waterG: feedG,
  /** Out of the fridge it is fed so often, h. */
  everyH: within(STARTER_LIMITS.everyH),
  /** Begun from flour and water on that day; null: it lifted bread already when it came. */
  begunMs: told.atMs.nullable(),
  log: z.array(starterEventSchema).max(STARTER_LIMITS.log),
});
export type Starter = z.infer<typeof starterSchema>;

/** The starters of a kitchen, each with what happened to it; kept in versions. */
export const startersDocumentSchema = z
  .strictObject({ starters: z.array(starterSchema).max(STARTER_LIMITS.most) })
  .superRefine(({ starters }, context) => {
    const seen = new Set<string>();
    for (const [at, { id }] of starters.entries()) {
      if (seen.has(id)) context.addIssue({ code: 'custom', path: ['starters', at, 'id'], params: { code: 'duplicateId' } });
      seen.add(id);
    }
  }); // prettier-ignore
export type StartersDocument = z.infer<typeof startersDocumentSchema>;

export const NO_STARTERS: StartersDocument = { starters: [] };
