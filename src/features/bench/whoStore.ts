import { isWho } from '@/core/bake';
import { DeviceStore } from '../device/deviceStore';
import { isList, isRecord } from '../device/found';

const MOST_NAMES = 20;

interface WhoIsHere {
  /** '': nobody said. */
  readonly who: string;
  /** Names that were said here and are not the kitchen's own. */
  readonly names: readonly string[];
}

const isName = (found: unknown): found is string => typeof found === 'string' && isWho(found);

function readFound(found: unknown): WhoIsHere | null {
  if (!isRecord(found)) return null;
  const { who, names } = found;
  if (who !== '' && !isName(who)) return null;
  return isList(names, MOST_NAMES) && names.every(isName) ? { who, names } : null;
}

const stores = new Map<string, DeviceStore<WhoIsHere>>();

/** Who stands at this device, for every bake of a kitchen: the same after a reload. One store a kitchen, so that all that show it change at once. */
export function whoStore(kitchen: string): DeviceStore<WhoIsHere> {
  const store = stores.get(kitchen) ?? new DeviceStore(`crumb-who:${kitchen}`, readFound, { who: '', names: [] });
  stores.set(kitchen, store);
  return store;
} // prettier-ignore

/** The name a press carries; null: none that could be kept with it. No press is lost for a name. */
export function whoIsAt(kitchen: string): string | null {
  const who = whoStore(kitchen).read().who.trim();
  return isWho(who) ? who : null;
}
