import type { BakeAction } from '@/core/bake';
import { LAST_SEQ } from '@/core/bake/lastSeq';
import type { PhotoOf } from '@/core/photo';
import type { Tap } from '@/core/requests';
import type { Answer } from '../asking/ask';
import { kitchenPlace } from '../kitchen/place';
import type { Refused, Waiting } from './queue';

/** A tap as it waits: its age is only known when it is sent. */
export interface WaitingTap {
  readonly action: BakeAction;
  readonly by?: string;
}

/** Of a lane: where its things go. Everything that can be sent is here, so that a page that is gone leaves nothing unsendable. */
export interface Route {
  readonly path: (entries: readonly Waiting[], nowMs: number) => string;
  /** So many go in one request. */
  readonly atOnce: number;
  readonly body: (entries: readonly Waiting[], nowMs: number) => unknown;
}

export const tapsBody = (entries: readonly Waiting[], nowMs: number): { taps: Tap[] } => ({
  taps: entries.map(({ id, madeAtMs, body }) => ({
    eventId: id,
    agoMs: Math.max(0, nowMs - madeAtMs),
    ...(body as WaitingTap),
  })),
});

/** Sent for a page that is gone: nobody looks at the log. */
const tapsUnseen = (entries: readonly Waiting[], nowMs: number) => ({
  ...tapsBody(entries, nowMs),
  after: LAST_SEQ,
});

const first = (entries: readonly Waiting[]): unknown => entries[0]?.body;

/** A picture as it waits: what the address says of it, and the file. */
export interface WaitingPhoto {
  readonly of: PhotoOf;
  readonly rungId: string | null;
  readonly by: string | null;
  readonly picture: Blob;
}

function photoPath(base: string, [entry]: readonly Waiting[], nowMs: number): string {
  if (!entry) return base;
  const { of, rungId, by } = entry.body as WaitingPhoto;
  const asked = new URLSearchParams({ of, ago: String(Math.max(0, nowMs - entry.madeAtMs)) });
  if (rungId !== null) asked.set('rung', rungId);
  if (by !== null) asked.set('by', by);
  return `${base}/${entry.id}?${asked.toString()}`;
}

const photoBody = ([entry]: readonly Waiting[]): unknown =>
  (entry?.body as WaitingPhoto | undefined)?.picture;

/** Null: a lane that is not sent. What was written down before kitchens stood beside one another goes to the oldest. */
export function routeOf(lane: string): Route | null {
  const [of = '', address = '-'] = lane.split('@', 2);
  const [kind, id = ''] = of.split(':', 2);
  const { api } = kitchenPlace(address);
  switch (kind) {
    case 'sheet':
      return { path: () => api(`/formulas/${id}/revisions`), atOnce: 1, body: first };
    case 'taps':
      return { path: () => api(`/bakes/${id}/taps`), atOnce: 50, body: tapsUnseen };
    case 'photo':
      return {
        path: (entries, nowMs) => photoPath(api(`/bakes/${id}/photos`), entries, nowMs),
        atOnce: 1,
        body: photoBody,
      };
    case 'kit':
    case 'day':
    case 'life':
    case 'starters':
    case 'orders':
      return { path: () => api(`/${kind}`), atOnce: 1, body: first };
    case 'ingredient':
      return { path: () => api('/ingredients'), atOnce: 1, body: first };
    default:
      return null;
  }
}

/** What an answer that will not change means for what was sent; null: it may be sent again. */
export function refusalOf(answer: Answer<unknown>, atMs: number): Refused | null {
  switch (answer.kind) {
    case 'ok':
    case 'unreachable':
      return null;
    case 'stale':
      return { why: 'stale', problem: null, atMs };
    case 'invalid':
      return { why: 'invalid', problem: answer.problems[0] ?? null, atMs };
    case 'refused':
      return { why: answer.why, problem: null, atMs };
  }
}
