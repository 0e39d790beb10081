import type { Problem } from '@/core/result';
import { answeredPaired } from './pairing';

/** What the server made of a request, as far as a screen has to tell them apart. */
export type Answer<T> =
  | { readonly kind: 'ok'; readonly value: T }
  | { readonly kind: 'stale'; readonly revision: number; readonly savedAtMs: number }
  | { readonly kind: 'invalid'; readonly problems: readonly Problem[] }
  | {
      readonly kind: 'refused';
      readonly why: 'notFound' | 'tooBig' | 'forbidden' | 'otherContent' | 'broken';
    }
  /** No network, a server that is down or overrun, a full disk: what was asked may be asked again just as it is. */
  | { readonly kind: 'unreachable'; readonly full: boolean };

interface ErrorBody {
  error?: { kind?: string; problems?: Problem[]; revision?: number; savedAtMs?: number };
}

/**
 * A broken answer (500) is among them: every writing request carries an id, so asking again does no harm, and giving up would. So is a device that is not paired (401)
 * any more: paired again it sends what waited.
 */
const AGAIN = new Set([401, 408, 429, 500, 502, 503, 504, 507]);

/** Asks our own server. Without a body it reads, with one it writes: JSON, or a file as it is. Never throws: a dead network is an answer too. */
export async function ask<T>(
  path: string,
  body?: unknown,
  { keepalive = false, signal = null }: { keepalive?: boolean; signal?: AbortSignal | null } = {},
): Promise<Answer<T>> {
  let response: Response;
  let data: unknown;
  try {
    response = await fetch(
      path,
      body === undefined
        ? { cache: 'no-store', signal }
        : {
            method: 'POST',
            body: body instanceof Blob ? body : JSON.stringify(body),
            headers: { 'content-type': body instanceof Blob ? body.type : 'application/json' },
            keepalive,
            signal,
          },
    );
    data = await response.json();
  } catch {
    return { kind: 'unreachable', full: false };
  }
  answeredPaired(response.status !== 401);
  if (response.ok) return { kind: 'ok', value: data as T };
  if (AGAIN.has(response.status)) return { kind: 'unreachable', full: response.status === 507 };
  const error = (data as ErrorBody).error ?? {};
  if (response.status === 409 && error.kind === 'otherContent')
    return { kind: 'refused', why: 'otherContent' };
  if (response.status === 409)
    return { kind: 'stale', revision: error.revision ?? 0, savedAtMs: error.savedAtMs ?? 0 };
  if (response.status === 422) return { kind: 'invalid', problems: error.problems ?? [] };
  const why = response.status === 404 ? 'notFound' : response.status === 413 ? 'tooBig' : 'broken';
  return { kind: 'refused', why: response.status === 403 ? 'forbidden' : why };
}
