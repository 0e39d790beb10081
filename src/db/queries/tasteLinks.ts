import * as z from 'zod';
import { many, maybeOne, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());

export interface NewLink {
  readonly id: string;
  readonly bakeId: string;
  readonly tokenDigest: Buffer;
  readonly madeAt: Date;
  readonly expiresAt: Date;
}

export async function insertLink(db: Queryable, kitchenId: string, link: NewLink): Promise<void> {
  await db.query({
    name: 'taste-link-in',
    text: `insert into taste_link (id, kitchen_id, bake_id, token_digest, made_at, expires_at) values ($1, $2, $3, $4, $5, $6)`,
    values: [link.id, kitchenId, link.bakeId, link.tokenDigest, link.madeAt, link.expiresAt],
  });
}

/** Links of a bake that still open it, the newest first. */
export const listLinks = (db: Queryable, kitchenId: string, bakeId: string, now: Date) =>
  many(
    db,
    {
      name: 'taste-links',
      text: `select id, made_at as "madeAtMs", expires_at as "expiresAtMs" from taste_link
             where kitchen_id = $1 and bake_id = $2 and expires_at > $3 and withdrawn_at is null order by made_at desc, id`,
      row: z.object({ id: z.uuid(), madeAtMs: instant, expiresAtMs: instant }),
    },
    [kitchenId, bakeId, now],
  );

/** @returns whether there was such a link that opened anything */
export async function withdrawLink(
  db: Queryable,
  kitchenId: string,
  id: string,
  now: Date,
): Promise<boolean> {
  const gone = await many(
    db,
    {
      name: 'taste-link-out',
      text: `update taste_link set withdrawn_at = $3 where kitchen_id = $1 and id = $2 and withdrawn_at is null returning id`,
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId, id, now],
  );
  return gone.length > 0;
}

/** What a link opens, by its digest; null: there is none, or it opens nothing any more. */
export const linkByToken = (db: Queryable, tokenDigest: Buffer, now: Date) =>
  maybeOne(
    db,
    {
      name: 'taste-link-by-token',
      text: `select l.bake_id as "bakeId", k.address from taste_link l join kitchen k on k.id = l.kitchen_id
             where l.token_digest = $1 and l.expires_at > $2 and l.withdrawn_at is null`,
      row: z.object({ bakeId: z.uuid(), address: z.string() }),
    },
    [tokenDigest, now],
  );
