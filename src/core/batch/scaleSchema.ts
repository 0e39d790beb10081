import * as z from 'zod';

/**
 * The scales of a kitchen as one list: up to `upToG` the balance used shows steps of `stepG`. Sorted by `upToG`.
 * Weighing 3 g on a scale of whole grams is off by a sixth; hence a fine scale for small amounts.
 */
export const scaleRangesSchema = z
  .array(
    z.strictObject({
      upToG: z.number().positive().max(1_000_000),
      stepG: z.union([
        z.literal(0.01),
        z.literal(0.1),
        z.literal(0.5),
        z.literal(1),
        z.literal(2),
        z.literal(5),
      ]),
    }),
  )
  .min(1)
  .max(6)
  .refine((ranges) =>
    ranges.every((range, index) => index === 0 || range.upToG > (ranges[index - 1]?.upToG ?? 0)),
  );
export type ScaleRanges = z.infer<typeof scaleRangesSchema>;
