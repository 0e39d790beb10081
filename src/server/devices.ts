import { createHash, randomBytes, randomInt } from 'node:crypto';
import type pg from 'pg';
import {
  DEVICE_LIMITS,
  type AskCode,
  type NetworkPlace,
  type PairedDevice,
  type ShownDevice,
} from '@/core/network/pairedDevice';
import {
  countDevices,
  countWrongGuess,
  deviceByKey,
  insertCode,
  insertDevice,
  listDevices,
  sawDevice,
  useCode,
  withdrawDevice,
} from '@/db/queries/devices';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';
import type { Installation } from './kitchens';

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/** How this machine is reached from the network, as its host said at the start; null: it is not. */
function networkPlace(): NetworkPlace | null {
  const text = process.env.CRUMB_NETWORK;
  return text ? (JSON.parse(text) as NetworkPlace) : null;
}

/** A code by which one device is paired: told once, good once and for ten minutes. */
export async function askCode({ pool, kitchen, now, newId }: Context, { name, may }: AskCode): Promise<Done<{ readonly code: string; readonly expiresAtMs: number }>> {
  const at = now();
  const code = String(randomInt(0, 100_000_000)).padStart(8, '0');
  return transaction(pool, async (client) => {
    const { codes, devices } = await countDevices(client, kitchen.id, at);
    if (codes >= DEVICE_LIMITS.openCodes) return invalid({ code: 'tooMany', path: 'name', params: { max: DEVICE_LIMITS.openCodes } });
    if (devices >= DEVICE_LIMITS.perKitchen) return invalid({ code: 'tooMany', path: 'name', params: { max: DEVICE_LIMITS.perKitchen } });
    const expiresAt = new Date(at.getTime() + DEVICE_LIMITS.codeMin * 60_000);
    await insertCode(client, kitchen.id, { id: newId(), name, may, codeDigest: digest(code), expiresAt });
    return done({ code, expiresAtMs: expiresAt.getTime() });
  });
} // prettier-ignore

/** Pairs whoever knows a code. @returns the key of the device, told once, and its kitchen; null: there is no such code */
export async function pair({ pool, now, newId }: Installation, code: string): Promise<{ readonly key: string; readonly address: string } | null> {
  const at = now();
  const key = randomBytes(32).toString('base64url');
  return transaction(pool, async (client) => {
    const used = await useCode(client, digest(code), at);
    if (!used) {
      await countWrongGuess(client, at);
      return null;
    }
    const { kitchenId, address, name, may } = used;
    await insertDevice(client, kitchenId, { id: newId(), name, may, keyDigest: digest(key), pairedAt: at });
    return { key, address };
  });
} // prettier-ignore

/** To some minutes: not a write for each request. */
const SEEN_MS = 600_000;

/** Whose key this is; null: nobody's, or it was withdrawn. */
export async function deviceOf(pool: pg.Pool, key: string, now: Date): Promise<PairedDevice | null> {
  const found = await deviceByKey(pool, digest(key));
  if (!found) return null;
  const { seenAt, ...device } = found;
  if (!seenAt || now.getTime() - seenAt.getTime() > SEEN_MS) await sawDevice(pool, device.id, now);
  return device;
}

/** Its key opens nothing from now on; what it did stays. */
export const withdrawal = async ({ pool, kitchen, now }: Context, id: string): Promise<Done<object>> =>
  (await withdrawDevice(pool, kitchen.id, id, now())) ? done({}) : failed({ kind: 'notFound' });

/** The kitchen's devices, and how this machine is reached. */
export const devicesNow = async ({
  pool,
  kitchen,
}: Context): Promise<{
  readonly devices: readonly ShownDevice[];
  readonly network: NetworkPlace | null;
}> => ({
  devices: await listDevices(pool, kitchen.id),
  network: networkPlace(),
});
