import * as z from 'zod';
import { many, type Queryable } from '../rows';

const answerRow = z.object({ about: z.string(), signature: z.string(), answer: z.unknown() });

/** Answers that were computed before, with the signatures they were computed under. */
export const COMPUTED_ANSWERS = {
  name: 'computed-answers',
  text: `select about, signature, answer from computed_answer where kitchen_id = $1 and about = any ($2::text[])`,
  row: answerRow,
};
export const findAnswers = (db: Queryable, kitchenId: string, abouts: readonly string[]) =>
  many(db, COMPUTED_ANSWERS, [kitchenId, abouts]);

/** In the place of whatever was answered before. */
export async function upsertAnswer(
  db: Queryable,
  kitchenId: string,
  about: string,
  signature: string,
  answer: unknown,
): Promise<void> {
  await db.query({
    name: 'computed-answer-upsert',
    text: `insert into computed_answer (kitchen_id, about, signature, answer) values ($1, $2, $3, $4)
           on conflict (kitchen_id, about) do update set signature = excluded.signature, answer = excluded.answer`,
    values: [kitchenId, about, signature, JSON.stringify(answer)],
  });
}
