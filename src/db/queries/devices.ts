import * as z from 'zod';
import { DEVICE_LIMITS, DEVICE_MAY, type DeviceMay } from '@/core/network/pairedDevice';
import { many, maybeOne, one, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());
const may = z.enum(DEVICE_MAY);

/** Whose key this is; null: nobody's, or it was withdrawn. It knows no kitchen yet: the key says which. */
export const deviceByKey = (db: Queryable, keyDigest: Buffer) =>
  maybeOne(
    db,
    {
      name: 'device-key',
      text: `select d.id, d.may, k.address, d.seen_at as "seenAt" from device d join kitchen k on k.id = d.kitchen_id
             where d.key_digest = $1 and d.withdrawn_at is null`,
      row: z.object({ id: z.uuid(), may, address: z.string(), seenAt: z.date().nullable() }),
    },
    [keyDigest],
  );

export const sawDevice = (db: Queryable, id: string, at: Date) =>
  db.query({
    name: 'device-seen',
    text: `update device set seen_at = greatest(seen_at, $2) where id = $1`,
    values: [id, at],
  });

/** How many codes can still be used, and how many devices are in use; one asker after the other until the transaction ends. */
export async function countDevices(db: Queryable, kitchenId: string, at: Date) {
  await db.query({ text: `select pg_advisory_xact_lock(hashtextextended('devices ' || $1, 0))`, values: [kitchenId] });
  return one(
    db,
    {
      text: `select (select count(*)::int from device_code where kitchen_id = $1 and used_at is null and expires_at > $2) as codes,
               (select count(*)::int from device where kitchen_id = $1 and withdrawn_at is null) as devices`,
      row: z.object({ codes: z.number().int(), devices: z.number().int() }),
    },
    [kitchenId, at],
  );
} // prettier-ignore

interface NewCode {
  readonly id: string;
  readonly name: string;
  readonly may: DeviceMay;
  readonly codeDigest: Buffer;
  readonly expiresAt: Date;
}

export const insertCode = (db: Queryable, kitchenId: string, { id, name, may: what, codeDigest, expiresAt }: NewCode) =>
  db.query({
    text: `insert into device_code (id, kitchen_id, name, may, code_digest, expires_at) values ($1, $2, $3, $4, $5, $6)`,
    values: [id, kitchenId, name, what, codeDigest, expiresAt],
  }); // prettier-ignore

/** Uses a code up. It knows no kitchen yet: the code says which. @returns null: there is none that can be used */
export const useCode = (db: Queryable, codeDigest: Buffer, at: Date) =>
  maybeOne(
    db,
    {
      text: `update device_code c set used_at = $2 from kitchen k
             where k.id = c.kitchen_id and c.id = (select id from device_code where code_digest = $1 and used_at is null and expires_at > $2
               and wrong_guesses < ${DEVICE_LIMITS.wrongGuesses} order by expires_at, id limit 1 for update)
             returning c.kitchen_id as "kitchenId", k.address, c.name, c.may`,
      row: z.object({ kitchenId: z.uuid(), address: z.string(), name: z.string(), may }),
    },
    [codeDigest, at],
  );

/** A wrong guess counts against every code that could have been meant. */
export const countWrongGuess = (db: Queryable, at: Date) =>
  db.query({
    text: `update device_code set wrong_guesses = wrong_guesses + 1 where used_at is null and expires_at > $1`,
    values: [at],
  });

interface NewDevice {
  readonly id: string;
  readonly name: string;
  readonly may: DeviceMay;
  readonly keyDigest: Buffer;
  readonly pairedAt: Date;
}

export const insertDevice = (db: Queryable, kitchenId: string, { id, name, may: what, keyDigest, pairedAt }: NewDevice) =>
  db.query({
    text: `insert into device (id, kitchen_id, name, may, key_digest, paired_at) values ($1, $2, $3, $4, $5, $6)`,
    values: [id, kitchenId, name, what, keyDigest, pairedAt],
  }); // prettier-ignore

/** Its key opens nothing from now on; twice is once. @returns whether there is such a device */
export async function withdrawDevice(db: Queryable, kitchenId: string, id: string, at: Date): Promise<boolean> {
  const { rows } = await db.query({
    text: `update device set withdrawn_at = coalesce(withdrawn_at, $3) where kitchen_id = $1 and id = $2 returning id`,
    values: [kitchenId, id, at],
  });
  return rows.length === 1;
} // prettier-ignore

/** The devices in use, by name. */
export const listDevices = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select id, name, may, paired_at as "pairedAtMs", seen_at as "seenAtMs" from device
             where kitchen_id = $1 and withdrawn_at is null order by lower(name), id`,
      row: z.object({
        id: z.uuid(),
        name: z.string(),
        may,
        pairedAtMs: instant,
        seenAtMs: instant.nullable(),
      }),
    },
    [kitchenId],
  );
