import type { QueueStore, Waiting } from './queue';
import { words } from '@/wording/screens/queue/earlierStorage';

const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
};

/**
 * What the first versions saved in localStorage, as the queue holds it now: unsent taps, drafts of sheets, half-written logs. It stays
 * there until it is written down in its new place.
 */
export async function takeEarlierStorage(
  storage: Storage,
  store: QueueStore,
  now: number,
  newId: () => string,
): Promise<void> {
  const found: { key: string; entries: Waiting[] }[] = [];
  const entry = (id: string, lane: string, what: string, body: unknown, tab: string, madeAtMs = now): Waiting => ({
    id, lane, what, body, madeAtMs, tab, refused: null,
  }); // prettier-ignore
  for (const key of Object.keys(storage)) {
    const [kind, id = '', tab = 'before'] = key.split(':');
    const value = parsed(storage.getItem(key));
    if (kind === 'crumb-taps' && Array.isArray(value)) {
      const taps = value as Partial<{ eventId: string; madeAtMs: number; action: { type?: unknown } }>[];
      const entries = taps.flatMap((tap) =>
        typeof tap?.eventId === 'string' &&
        typeof tap.madeAtMs === 'number' &&
        typeof tap.action?.type === 'string'
          ? [
              entry(
                tap.eventId,
                `taps:${id}`,
                words.aPressAtTheBench,
                { action: tap.action },
                'before',
                tap.madeAtMs,
              ),
            ]
          : [],
      );
      found.push({ key, entries });
    } else if (kind === 'crumb-draft' && typeof value === 'object' && value !== null) {
      const { seen, formula } = value as { seen?: unknown; formula?: { name?: unknown } };
      const what = words.changesTo(typeof formula?.name === 'string' ? formula.name : words.aFormula);
      const good = typeof seen === 'number' && typeof formula === 'object';
      const body = { requestId: newId(), seen, formula };
      found.push({ key, entries: good ? [entry(`sheet:${id}:${tab}`, `sheet:${id}`, what, body, tab)] : [] });
    } else if (kind === 'crumb-outcome' && typeof value === 'object' && value !== null) {
      found.push({
        key,
        entries: [
          entry(`form:outcome:${id}`, `form:outcome:${id}`, words.aHalfWrittenLog, { text: value }, 'before'),
        ],
      });
    }
  }
  for (const { key, entries } of found) {
    if (entries.length > 0) await store.put(entries);
    storage.removeItem(key);
  }
}
