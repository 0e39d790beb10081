import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import { DAY_LIMITS } from './dayLimits';
import { hoursSchema } from './hoursSchema';
import { sharedSchema } from './shared';

/** Hours in which hands are not free, and those one likes to work in, week by week; and single times off, from a calendar. */
export const lifeDocumentSchema = z
  .strictObject({
    people: z.number().int().min(1).max(DAY_LIMITS.people.max),
    away: z.array(hoursSchema.extend({ people: z.number().int().min(1).max(DAY_LIMITS.people.max).nullable() })).max(40),
    preferred: z.array(hoursSchema).max(20),
    otherHours: z.boolean(),
    /** Once: from a calendar that was read. */
    once: z
      .array(
        z.strictObject({ name: plainText(80), fromMs: z.number().int().min(0), toMs: z.number().int().min(0) }),
      )
      .max(400),
    /** Shared with wheat, or with what somebody must not eat; absent: it is not. */
    shared: sharedSchema.optional(),
  })
  .superRefine(({ away, preferred, once, people, shared }, context) => {
    const refuse = (path: (string | number)[], code: string) => context.addIssue({ code: 'custom', path, params: { code } });
    for (const [name, all] of [['away', away], ['preferred', preferred], ['shared.wheat', shared?.wheat ?? []]] as const)
      for (const [at, { from, to }] of all.entries()) {
        if (from === to) refuse([...name.split('.'), at, 'to'], 'rangeReversed');
      }
    for (const [at, each] of away.entries()) if ((each.people ?? 1) > people) refuse(['away', at, 'people'], 'tooLarge');
    for (const [at, { fromMs, toMs }] of once.entries()) if (toMs <= fromMs) refuse(['once', at, 'toMs'], 'rangeReversed');
  }); // prettier-ignore
export type LifeDocument = z.infer<typeof lifeDocumentSchema>;

/** Nobody has said anything: one baker, who sleeps from ten to six. */
export const ORDINARY_LIFE: LifeDocument = {
  people: 1,
  away: [{ name: 'Sleep', days: [1, 2, 3, 4, 5, 6, 7], from: '22:30', to: '06:00', people: null }],
  preferred: [],
  otherHours: false,
  once: [],
};
