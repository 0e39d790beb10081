import { DeviceStore } from '../device/deviceStore';
import { isRecord } from '../device/found';

export interface BellSettings {
  /** Nothing is heard on this device; what is up is shown all the same. */
  readonly muted: boolean;
  /** Two minutes before the time. */
  readonly early: boolean;
  /** Its name is spoken, where the machine has a voice of its own. */
  readonly spoken: boolean;
}

function readFound(found: unknown): BellSettings | null {
  if (!isRecord(found)) return null;
  const { muted, early, spoken } = found;
  return typeof muted === 'boolean' && typeof early === 'boolean' && typeof spoken === 'boolean' ? { muted, early, spoken } : null;
} // prettier-ignore

/** How this device calls. */
export const bellSettings = new DeviceStore<BellSettings>('crumb-bell', readFound, {
  muted: false,
  early: true,
  spoken: true,
});
