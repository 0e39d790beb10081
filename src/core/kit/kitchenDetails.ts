import * as z from 'zod';
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

/** Who a kitchen is and where its clock stands. What it has, and how it is, is its kit. */
export const kitchenDetailsSchema = z.strictObject({
  name: plainText(80).trim().min(1),
  about: plainText(1000, { lines: true }),
  timeZone: z
    .string()
    .min(1)
    .max(60)
    .refine(isTimeZone, { params: { code: 'notAllowed' } }),
});
export type KitchenDetails = z.infer<typeof kitchenDetailsSchema>;
