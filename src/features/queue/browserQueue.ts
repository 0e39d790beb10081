import { newUuid } from '@/ui/newUuid';
import { takeEarlierStorage } from './earlierStorage';
import { idbStore } from './idbStore';
import { Queue, type QueueStore, type Waiting } from './queue';

/** For a browser without a place to write to: what waits lives as long as the page. */
export function memoryStore(): QueueStore {
  const entries = new Map<string, Waiting>();
  return {
    all: () => Promise.resolve([...entries.values()]),
    put: (added) => {
      for (const entry of added) entries.set(entry.id, entry);
      return Promise.resolve();
    },
    remove: (ids) => {
      for (const id of ids) entries.delete(id);
      return Promise.resolve();
    },
  };
}

const TAB = 'crumb-tab';

/** This tab's name: the same after a reload, another in every tab. */
function tabName(): string {
  try {
    const known = sessionStorage.getItem(TAB);
    if (known) return known;
    const made = newUuid();
    sessionStorage.setItem(TAB, made);
    return made;
  } catch {
    return newUuid();
  }
}

/** The names of the tabs that are alive: each holds a lock, and the browser lets go of it when the tab dies. Null: it does not tell. */
export async function aliveTabs(): Promise<ReadonlySet<string> | null> {
  if (!navigator.locks) return null;
  const { held = [] } = await navigator.locks.query();
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(`${TAB}:`) ? [name.slice(TAB.length + 1)] : [])),
  );
}

/** Runs it unless another tab is just doing it; without locks it is done anyway, since the server keeps everything once. */
export async function alone(work: () => Promise<void>): Promise<void> {
  if (!navigator.locks) return work();
  await navigator.locks.request('crumb-drain', { ifAvailable: true }, async (lock) => {
    if (lock) await work();
  });
}

const holder = globalThis as typeof globalThis & { crumbQueue?: Queue };

/** The browser's queue, one for all pages of this tab. */
export function browserQueue(): Queue {
  if (holder.crumbQueue) return holder.crumbQueue;
  const inBrowser = typeof indexedDB !== 'undefined';
  const store = inBrowser ? idbStore() : memoryStore();
  const tab = typeof window === 'undefined' ? 'server' : tabName();
  const queue = new Queue({
    store: {
      ...store,
      all: async () => {
        if (typeof localStorage !== 'undefined')
          await takeEarlierStorage(localStorage, store, Date.now(), newUuid);
        return store.all();
      },
    },
    now: () => Date.now(),
    tab,
  });
  if (typeof window !== 'undefined') {
    holder.crumbQueue = queue;
    void navigator.locks?.request(`${TAB}:${tab}`, () => new Promise(() => undefined));
  }
  return queue;
}
