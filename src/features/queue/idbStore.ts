import type { DBSchema } from 'idb';
import { openedDb } from '../device/openedDb';
import type { QueueStore, Waiting } from './queue';

interface Schema extends DBSchema {
  waiting: { key: string; value: Waiting };
}

/** Raised with every change of what is written down; what an older page wrote is brought along in `upgrade`. */
const VERSION = 1;

/** The queue's place in the browser. A transaction is through when it is on the disk, as far as browsers promise that. */
export function idbStore(name = 'honest-crumb'): QueueStore {
  const open = openedDb<Schema>(name, VERSION, (database) => {
    if (!database.objectStoreNames.contains('waiting'))
      database.createObjectStore('waiting', { keyPath: 'id' });
  });
  const isWaiting = (value: unknown): value is Waiting => {
    const entry = value as Partial<Waiting> | null;
    return (
      typeof entry?.id === 'string' && typeof entry.lane === 'string' && typeof entry.madeAtMs === 'number'
    );
  };
  return {
    all: async () => (await (await open()).getAll('waiting')).filter(isWaiting),
    put: async (entries) => {
      const transaction = (await open()).transaction('waiting', 'readwrite', { durability: 'strict' });
      await Promise.all([...entries.map((entry) => transaction.store.put(entry)), transaction.done]);
    },
    remove: async (ids) => {
      const transaction = (await open()).transaction('waiting', 'readwrite', { durability: 'strict' });
      await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
    },
  };
}
