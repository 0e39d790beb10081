import * as z from 'zod';
import { EATER_LIMITS, EXCLUSIONS } from '../eaters/eater';
import { localIdSchema } from '../formula/formulaSchema';
import { plainText } from '../plainTextSchema';

/** Zones that were found good: the details are read with every request, and asking costs a third of a millisecond. */
const good = new Set<string>();

/** Is this a time zone that times can be told in? */
const isTimeZone = (name: string): boolean => {
  if (good.has(name)) return true;
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    // letters count alike in either case, so that there are more spellings than zones
    if (good.size >= 1000) good.clear();
    good.add(name);
    return true;
  } catch {
    return false;
  }
};

const name = plainText(EATER_LIMITS.nameLength).trim().min(1);

/** Who a kitchen is, who bakes and who eats there, and how it writes numbers and times. What it has, and how it is, is its kit. */
export const kitchenDetailsSchema = z.strictObject({
  name: plainText(80).trim().min(1),
  about: plainText(1000, { lines: true }),
  timeZone: z
    .string()
    .min(1)
    .max(60)
    .refine(isTimeZone, { params: { code: 'notAllowed' } }),
  /** A clock of 24 hours, or of twice twelve. */
  clockFace: z.enum(['24', '12']),
  /** What stands before the tenths. Both are read everywhere. */
  decimalMark: z.enum(['point', 'comma']),
  weekStart: z.enum(['monday', 'saturday', 'sunday']),
  /** Who bakes here: names, no more. */
  people: z.array(name).max(EATER_LIMITS.people),
  /** Who is baked for, a person or an order, and what must not be in it. */
  eaters: z
    .array(
      z.strictObject({ id: localIdSchema, name, avoids: z.array(z.enum(EXCLUSIONS)).max(EXCLUSIONS.length) }),
    )
    .max(EATER_LIMITS.eaters),
});
export type KitchenDetails = z.infer<typeof kitchenDetailsSchema>;
