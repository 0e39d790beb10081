import { deviceMay } from '@/core/network/deviceMay';
import type { DeviceMay, PairedDevice } from '@/core/network/pairedDevice';
import { deviceKeyIn, isTasteAt, PAIR_PAGE, PAIRING_AT } from '@/core/network/deviceKey';
import { TOLD_AT } from './hosts';
import type { Judgement, RefusalKind } from './judge';

type Admitted =
  /** `only`: of which kitchen alone it may know, and what it may do there; null: of all, or it asks for nothing of any. */
  | { readonly kind: 'in'; readonly only: string | null; readonly may: DeviceMay | null }
  | { readonly kind: 'elsewhere'; readonly path: string }
  | { readonly kind: 'no'; readonly why: RefusalKind };

const IN: Admitted = { kind: 'in', only: null, may: null };

/**
 * Who may go on, of what the door would let in: on this machine everybody; from the network a device that was paired, as far as it was paired for.
 *
 * @param deviceOf absent: this machine's own door
 */
export async function admit(
  { kind, path, writes }: Extract<Judgement, { ok: true }>,
  cookies: string | undefined,
  deviceOf: ((key: string) => Promise<PairedDevice | null>) | undefined,
): Promise<Admitted> {
  // this machine is paired with nothing: its key would be of no use
  if (!deviceOf) return path === PAIRING_AT ? { kind: 'no', why: 'notForDevice' } : IN;
  // files hold nothing of a kitchen, instruments have keys of their own, a taster's link is one
  if (kind === 'asset' || isTasteAt(path) || path === TOLD_AT || path === PAIR_PAGE || (path === PAIRING_AT && writes)) return IN;
  const key = deviceKeyIn(cookies);
  let device: PairedDevice | null;
  try {
    device = key === null ? null : await deviceOf(key);
  } catch {
    return { kind: 'no', why: 'tooBusy' };
  }
  if (!device) return kind === 'page' ? { kind: 'elsewhere', path: PAIR_PAGE } : { kind: 'no', why: 'notPaired' };
  const may = deviceMay(device, { path, isPage: kind === 'page', writes });
  if (may === 'home') return { kind: 'elsewhere', path: `/k/${device.address}` };
  return may === 'yes' ? { kind: 'in', only: device.address, may: device.may } : { kind: 'no', why: 'notForDevice' };
} // prettier-ignore
