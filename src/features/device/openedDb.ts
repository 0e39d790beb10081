import { openDB, type DBSchema, type IDBPDatabase, type OpenDBCallbacks } from 'idb';

/**
 * A place in the browser, opened at its first use, and anew after the browser threw it away, another page wanted a newer shape, or opening
 * it failed.
 *
 * @param version raised with every change of shape; what an older page wrote is brought along in `upgrade`
 */
export function openedDb<Schema extends DBSchema>(
  name: string,
  version: number,
  upgrade: NonNullable<OpenDBCallbacks<Schema>['upgrade']>,
): () => Promise<IDBPDatabase<Schema>> {
  let opening: Promise<IDBPDatabase<Schema>> | null = null;
  return () =>
    (opening ??= openDB<Schema>(name, version, {
      upgrade,
      terminated: () => (opening = null),
      blocking: (_from, _to, event) => {
        (event.target as IDBDatabase).close();
        opening = null;
      },
    }).catch((error: unknown) => {
      opening = null;
      throw error;
    }));
}
