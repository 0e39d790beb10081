import { useSyncExternalStore } from 'react';

const SERVER: readonly string[] = ['UTC'];
let known: readonly string[] | null = null;

/** All time zones this browser knows, its own first. */
const zonesHere = (): readonly string[] =>
  (known ??= [
    ...new Set([
      Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      'UTC',
      ...Intl.supportedValuesOf('timeZone'),
    ]),
  ]);

const never = () => () => undefined;

/** The time zones to choose from: the browser knows where it is, the server does not. */
export const useZones = (): readonly string[] => useSyncExternalStore(never, zonesHere, () => SERVER);
