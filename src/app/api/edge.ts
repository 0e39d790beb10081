import type * as z from 'zod';
import { readAs } from '@/core/readAs';
import type { Problem } from '@/core/result';
import { databaseFailure } from '@/db/errors';
import type { Done, Failure } from '@/server/failure';
import { isTrustedHost, isTrustedOrigin } from '@/server/trust';
import { takeToken } from '@/server/rateLimit';

/** The most a request may carry. The longest formula that passes the schema stays well below it. */
const MOST_BYTES = 512 * 1024;

type Refusal =
  | Failure
  | { kind: 'forbidden' }
  | { kind: 'tooBig'; mostBytes: number }
  | { kind: 'notJson' }
  | { kind: 'tooFast' }
  | { kind: 'unavailable' }
  | { kind: 'full' }
  | { kind: 'broken' };

const STATUS: Record<Refusal['kind'], number> = {
  notFound: 404,
  invalid: 422,
  stale: 409,
  forbidden: 403,
  tooBig: 413,
  notJson: 400,
  tooFast: 429,
  unavailable: 503,
  full: 507,
  broken: 500,
};

const refusal = (failure: Refusal): Response =>
  Response.json({ error: failure }, { status: STATUS[failure.kind] });

/** Reads a body up to the limit; the header may lie or be missing, so the bytes are counted as they come. */
async function readBody(request: Request): Promise<unknown> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) throw new TooBig();
  const reader = request.body?.getReader();
  if (!reader) return undefined;
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (let read = await reader.read(); !read.done; read = await reader.read()) {
    size += read.value.byteLength;
    if (size > MOST_BYTES) {
      await reader.cancel();
      throw new TooBig();
    }
    chunks.push(read.value);
  }
  return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks)));
}

class TooBig extends Error {}

async function guarded(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const failure = databaseFailure(error);
    if (failure === 'unavailable' || failure === 'full') return refusal({ kind: failure });
    console.error(error);
    return refusal({ kind: 'broken' });
  }
}

export function answer<T>(done: Done<T>, status = 200): Response {
  return done.ok ? Response.json(done.value, { status }) : refusal(done.failure);
}

/** Answers a reading request, to this machine's own name only (a page elsewhere may point its name at 127.0.0.1). */
export function reading(request: Request, work: () => Promise<Response | null>): Promise<Response> {
  if (!isTrustedHost(request.headers.get('host'))) return Promise.resolve(refusal({ kind: 'forbidden' }));
  return guarded(async () => (await work()) ?? refusal({ kind: 'notFound' }));
}

/**
 * Answers a writing request: from our own pages only, JSON only, within the size and pace limits, and of the right shape.
 * A body that is not gets the problem with its path, and nothing is changed.
 */
export function writing<T>(
  request: Request,
  schema: z.ZodType<T>,
  work: (body: T) => Promise<Response>,
): Promise<Response> {
  if (!isTrustedHost(request.headers.get('host')) || !isTrustedOrigin(request.headers)) {
    return Promise.resolve(refusal({ kind: 'forbidden' }));
  }
  if (!takeToken()) return Promise.resolve(refusal({ kind: 'tooFast' }));
  return guarded(async () => {
    let body: unknown;
    try {
      if (!request.headers.get('content-type')?.startsWith('application/json'))
        return refusal({ kind: 'notJson' });
      body = await readBody(request);
    } catch (error) {
      return refusal(
        error instanceof TooBig ? { kind: 'tooBig', mostBytes: MOST_BYTES } : { kind: 'notJson' },
      );
    }
    const read = readAs(schema, body);
    return read.ok ? work(read.value) : refusal({ kind: 'invalid', problems: [read.problem] as Problem[] });
  });
}

export const notFound = (): Response => refusal({ kind: 'notFound' });
