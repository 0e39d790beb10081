import type { BakePlace } from '@/server/bakes';
import { knownId } from '@/server/knownId';

export type Query = Readonly<Record<string, string | string[] | undefined>>;

/** One value of an address's query; nothing where there are several. */
export const single = (value: string | string[] | undefined): string =>
  typeof value === 'string' ? value : '';

/** Where a page of bakes begins, as it stands in an address: time and id of the bake before it. */
export function placeOf(text: string): BakePlace | null {
  const [, ms, rawId = ''] = /^(\d{1,14})\.(.{36})$/.exec(text) ?? [];
  const id = knownId(rawId);
  return ms && id ? { startedAtMs: Number(ms), id } : null;
}
export const wordPlace = (place: BakePlace | null): string | null =>
  place && `${place.startedAtMs}.${place.id}`;
