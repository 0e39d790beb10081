import type * as z from 'zod';
import { readAs } from '@/core/readAs';
import type { Problem } from '@/core/result';
import { databaseFailure } from '@/db/errors';
import { UnreadableDocument } from '@/db/rows';
import { Busy, type Done, type Failure } from '@/server/failure';
import { isNotComputed } from '@/server/shared';

type Refusal =
  | Failure
  | { kind: 'notJson' }
  | { kind: 'noKey' }
  | { kind: 'unavailable' }
  | { kind: 'full' }
  | { kind: 'broken' };

const STATUS: Record<Refusal['kind'], number> = {
  notFound: 404,
  invalid: 422,
  stale: 409,
  otherContent: 409,
  unreadable: 422,
  notJson: 400,
  noKey: 401,
  unavailable: 503,
  full: 507,
  broken: 500,
};

const refusal = (failure: Refusal): Response =>
  Response.json(
    { error: failure },
    {
      status: STATUS[failure.kind],
      ...(failure.kind === 'unavailable' || failure.kind === 'full'
        ? { headers: { 'retry-after': '2' } }
        : {}),
    },
  );

/** The address names a kitchen that is not here. */
export class NoSuchKitchen extends Error {}

async function guarded(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    // too much waits for the threads, or whoever asked has left
    if (error instanceof Busy || isNotComputed(error)) return refusal({ kind: 'unavailable' });
    if (error instanceof NoSuchKitchen) return refusal({ kind: 'notFound' });
    const failure = databaseFailure(error);
    if (failure === 'unavailable' || failure === 'full') return refusal({ kind: failure });
    if (error instanceof UnreadableDocument) return refusal({ kind: 'unreadable', setAside: error.setAside });
    console.error(error);
    return refusal({ kind: 'broken' });
  }
}

export function answer<T>(done: Done<T>, status = 200): Response {
  return done.ok ? Response.json(done.value, { status }) : refusal(done.failure);
}

/** Answers a reading request. Who may ask at all is settled at the door (src/door). */
export function reading(work: () => Promise<Response | null>): Promise<Response> {
  return guarded(async () => (await work()) ?? refusal({ kind: 'notFound' }));
}

/** Answers a writing request of the right shape. A body that is not gets the problem with its path, and nothing is changed. */
export function writing<T>(
  request: Request,
  schema: z.ZodType<T>,
  work: (body: T) => Promise<Response>,
): Promise<Response> {
  return guarded(async () => {
    let body: unknown;
    try {
      // the door lets in no more than a limit; what is not UTF-8 is no JSON
      body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(await request.arrayBuffer()));
    } catch {
      return refusal({ kind: 'notJson' });
    }
    const read = readAs(schema, body);
    return read.ok ? work(read.value) : refusal({ kind: 'invalid', problems: [read.problem] as Problem[] });
  });
}

export const notFound = (): Response => refusal({ kind: 'notFound' });
/** No key, or one that opens nothing (any more). */
export const noKey = (): Response => refusal({ kind: 'noKey' });
