import { createHash } from 'node:crypto';
import { setMaxListeners } from 'node:events';
import { LRUCache } from 'lru-cache';
import { databaseFailure } from '@/db/errors';
import { findAnswers, upsertAnswer } from '@/db/queries/computedAnswers';
import type { Context } from './context';
import { Shared } from './shared';

/** By kitchen, subject and signature; what is asked again and again is found without the database. */
const remembered = new LRUCache<string, { readonly answer: unknown }>({ max: 4000 });
const underWay = new Shared<unknown>();

/** The program that computes: another one may answer otherwise. */
const program = (): string => process.env.CRUMB_BUILD ?? 'unbuilt';

/** A word for all that an answer follows from. */
export const signatureOf = (...from: readonly (string | number)[]): string =>
  createHash('sha256')
    .update(JSON.stringify([program(), ...from]))
    .digest('base64url');

/** One answer that takes long to compute: what it is about, and all it follows from. */
export interface Wanted<T> {
  readonly about: string;
  readonly signature: string;
  readonly compute: (gone?: AbortSignal) => Promise<T>;
}

/**
 * Answers that follow from what their signatures stand for: remembered, stored, or computed now and stored. Two who ask for the same at
 * once share the computing; what nobody waits for any more is not computed.
 * @param gone nobody waits for the answers any more
 * @returns them by what they are about; those that could not be had now are not in it
 */
export async function computedAnswers<T>(
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  wanted: readonly Wanted<T>[],
  gone?: AbortSignal,
): Promise<Map<string, T>> {
  // each of a page's answers listens for the asker to leave
  if (gone) setMaxListeners(0, gone);
  const answers = new Map<string, T>();
  const key = ({ about, signature }: Wanted<T>): string => `${kitchen.id} ${about} ${signature}`;
  const unknown = wanted.filter((each) => {
    const found = remembered.get(key(each));
    if (found) answers.set(each.about, found.answer as T);
    return !found;
  });
  if (unknown.length === 0) return answers;
  const stored = new Map(
    (await findAnswers(pool, kitchen.id, unknown.map(({ about }) => about))).map((row) => [row.about, row]),
  ); // prettier-ignore
  if (gone?.aborted) return answers;
  await Promise.all(
    unknown.map(async (each) => {
      const { about, signature, compute } = each;
      const found = stored.get(about);
      if (found?.signature === signature) {
        remembered.set(key(each), { answer: found.answer });
        answers.set(about, found.answer as T);
        return;
      }
      // somebody may have computed and stored it while the database was asked
      const meanwhile = remembered.get(key(each));
      if (meanwhile) {
        answers.set(about, meanwhile.answer as T);
        return;
      }
      const answer = await underWay.get(key(each), gone, async (nobody) => {
        const computed = await compute(nobody);
        remembered.set(key(each), { answer: computed });
        // it can always be computed again: a full disk is no reason not to answer
        await upsertAnswer(pool, kitchen.id, about, signature, computed).catch((error: unknown) => {
          if (databaseFailure(error) === 'other') console.error(error);
        });
        return computed;
      });
      if (answer) answers.set(about, answer.value as T);
    }),
  );
  return answers;
}

/** One of them; `null` also where it could not be had now. */
export async function computedAnswer<T>(
  context: Pick<Context, 'pool' | 'kitchen'>,
  wanted: Wanted<T>,
  gone?: AbortSignal,
): Promise<T | null> {
  return (await computedAnswers(context, [wanted], gone)).get(wanted.about) ?? null;
}
