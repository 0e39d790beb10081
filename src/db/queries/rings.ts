import * as z from 'zod';
import { runningCardSchema } from '@/core/bake';
import { many, type Queryable } from '../rows';

const timerRow = z.object({ timer: runningCardSchema.shape.timers.element, kitchen: z.string() });

/**
 * The timers of all that is under way, of every bake, however many there are: in this kitchen, and in the others that are somebody's own.
 * Whoever looks at one kitchen hears the proof in another; the demo's are heard only there.
 */
export const listTimers = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      name: 'timers',
      text: `select t.value as timer, k.address as kitchen from bake_under_way u join kitchen k on k.id = u.kitchen_id,
               jsonb_array_elements(u.card -> 'timers') t
             where u.kitchen_id = $1 or not k.demo order by (t.value ->> 'endsAtMs')::double precision`,
      row: timerRow,
    },
    [kitchenId],
  );

const ovenRow = z.object({
  bakeId: z.uuid(),
  bakeName: z.string(),
  kitchen: z.string(),
  oven: runningCardSchema.shape.oven.unwrap(),
});

/** The ovens that are going to be lit, of the same bakes. */
export const listOvens = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      name: 'ovens',
      text: `select u.bake_id as "bakeId", u.card ->> 'name' as "bakeName", k.address as kitchen, u.card -> 'oven' as oven
             from bake_under_way u join kitchen k on k.id = u.kitchen_id
             where (u.kitchen_id = $1 or not k.demo) and jsonb_typeof(u.card -> 'oven') = 'object'`,
      row: ovenRow,
    },
    [kitchenId],
  );
