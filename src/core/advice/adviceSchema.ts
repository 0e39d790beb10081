import * as z from 'zod';
import { QUESTION_IDS } from '../tasting/questions';
import { CHANGE_KINDS, EXPLANATIONS } from './ids';

const score = z.number().min(1).max(5);

/** A score as it was to be expected of the next bread: its middle and eight of ten. */
const expectedScoreSchema = z.strictObject({
  question: z.enum(QUESTION_IDS),
  /** What it was this time; null: nobody said. */
  was: score.nullable(),
  /** With nothing changed. */
  same: score,
  value: score,
  low: score,
  high: score,
});
export type ExpectedScore = Readonly<z.infer<typeof expectedScoreSchema>>;

/** Times so much for amounts and times, °C more for warmth. */
const changeSchema = z.strictObject({
  kind: z.enum(CHANGE_KINDS),
  by: z.number().min(-100).max(100),
});
export type Change = Readonly<z.infer<typeof changeSchema>>;

/** What was advised after a bake, as it was taken: enough to see later whether it was right. */
export const adviceSchema = z.strictObject({
  cause: z.enum(EXPLANATIONS),
  probability: z.number().min(0).max(1),
  change: changeSchema,
  /** The version with that change; the same as before where none was needed. */
  revision: z.number().int().min(1).max(1_000_000),
  expects: z.array(expectedScoreSchema).max(3),
});
export type TakenAdvice = Readonly<z.infer<typeof adviceSchema>>;
