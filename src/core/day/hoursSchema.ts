import * as z from 'zod';
import { plainText } from '../plainTextSchema';

/** Hours that come again week by week, as a document writes them. */
export const hoursSchema = z.strictObject({
  name: plainText(40).trim(),
  /** 1 Monday to 7 Sunday. */
  days: z.array(z.number().int().min(1).max(7)).min(1).max(7),
  from: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
  to: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/),
});
