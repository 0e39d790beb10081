import type { DBSchema } from 'idb';
import { BAKE_ACTION_VERSION } from '@/core/bake/bakeActionVersion';
import { openedDb } from '../device/openedDb';
import type { LogPlace, StoredLog } from './outbox';

interface Row extends StoredLog {
  readonly bakeId: string;
  /** What its events are written in: a newer program reads them from the server again. */
  readonly version: number;
  readonly savedAtMs: number;
}
interface Schema extends DBSchema {
  log: { key: string; value: Row; indexes: { savedAtMs: number } };
}

const MOST_LOGS = 30;
const open = openedDb<Schema>('honest-crumb-logs', 1, (database) => {
  database.createObjectStore('log', { keyPath: 'bakeId' }).createIndex('savedAtMs', 'savedAtMs');
});

async function write(row: Row): Promise<void> {
  const { store, done } = (await open()).transaction('log', 'readwrite');
  await store.put(row);
  const oldest = await store.index('savedAtMs').getAllKeys();
  for (const key of oldest.slice(0, Math.max(0, oldest.length - MOST_LOGS))) await store.delete(key);
  await done;
}

/** The log of a bake on this device. A browser without a place for it starts from what its page has. */
export function logOnDevice(bakeId: string): LogPlace {
  let last: Promise<unknown> = Promise.resolve();
  return {
    load: async () => {
      try {
        const row = await (await open()).get('log', bakeId);
        return row?.version === BAKE_ACTION_VERSION ? row : null;
      } catch {
        return null;
      }
    },
    save: (log) => {
      const row = { ...log, bakeId, version: BAKE_ACTION_VERSION, savedAtMs: Date.now() };
      // in order: the later holds
      last = last.then(() => write(row)).catch(() => undefined);
    },
  };
}
