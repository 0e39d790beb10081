import { newUuid } from '@/ui/newUuid';
import type { OutboxDeps, WaitingTap } from './outbox';

/** Rough on purpose: what a tap may hold is the server's to check, and it answers tap by tap. */
function isTap(value: unknown): value is WaitingTap {
  const tap = value as Partial<WaitingTap> | null;
  return (
    typeof tap === 'object' &&
    tap !== null &&
    typeof tap.eventId === 'string' &&
    typeof tap.madeAtMs === 'number' &&
    typeof tap.action?.type === 'string'
  );
}

function read(key: string): WaitingTap[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isTap) : [];
  } catch {
    return [];
  }
}

/**
 * Where unsent taps of a bake are written down. Each page keeps its own list; one that opens takes over every list it
 * finds. If that page is still alive both send the same taps, which the server keeps once.
 */
export function tapStore(bakeId: string): OutboxDeps['store'] {
  const prefix = `crumb-taps:${bakeId}:`;
  let own: string | null = null;
  const ownKey = (): string => (own ??= prefix + newUuid());
  const save = (taps: readonly WaitingTap[]) => {
    try {
      if (taps.length > 0) localStorage.setItem(ownKey(), JSON.stringify(taps));
      else localStorage.removeItem(ownKey());
    } catch {
      // storage full or forbidden: the taps still wait in the page
    }
  };
  const load = (): WaitingTap[] => {
    try {
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(prefix));
      const found = keys.flatMap(read).sort((a, b) => a.madeAtMs - b.madeAtMs);
      save(found);
      keys.filter((key) => key !== own).forEach((key) => localStorage.removeItem(key));
      return found;
    } catch {
      return [];
    }
  };
  return { load, save };
}
