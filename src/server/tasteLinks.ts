import { createHash, randomBytes } from 'node:crypto';
import { stateOf } from '@/core/bake';
import { TASTE_LINK_LIMITS, type AskLink, type LinkTasting, type ShownLink } from '@/core/network/tasteLink';
import { insertLink, linkByToken, listLinks, withdrawLink } from '@/db/queries/tasteLinks';
import { transaction } from '@/db/transaction';
import { lockAnyBake } from '@/db/queries/bakes';
import { loadBake } from './bakeRecords';
import { recordTaps } from './bakes';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

const digest = (token: string): Buffer => createHash('sha256').update(token).digest();
const HOUR_MS = 3_600_000;

/** A link by which one taster tastes one bake, told once. */
export async function makeLink(
  { pool, kitchen, now, newId }: Context,
  bakeId: string,
  { hours }: AskLink,
): Promise<Done<{ readonly token: string; readonly expiresAtMs: number }>> {
  const token = randomBytes(18).toString('base64url');
  const madeAt = now();
  const expiresAt = new Date(madeAt.getTime() + hours * HOUR_MS);
  return transaction(pool, async (client) => {
    if (!(await lockAnyBake(client, kitchen.id, bakeId))) return failed({ kind: 'notFound' });
    const open = await listLinks(client, kitchen.id, bakeId, madeAt);
    if (open.length >= TASTE_LINK_LIMITS.openPerBake)
      return invalid({
        code: 'tooMany',
        path: 'hours',
        params: { max: TASTE_LINK_LIMITS.openPerBake },
      });
    await insertLink(client, kitchen.id, {
      id: newId(),
      bakeId,
      tokenDigest: digest(token),
      madeAt,
      expiresAt,
    });
    return done({ token, expiresAtMs: expiresAt.getTime() });
  });
}

export const linksOf = ({ pool, kitchen, now }: Context, bakeId: string): Promise<ShownLink[]> =>
  listLinks(pool, kitchen.id, bakeId, now());

/** It opens nothing from now on; the cards that came by it stay. */
export const closeLink = async ({ pool, kitchen, now }: Context, id: string): Promise<Done<object>> =>
  (await withdrawLink(pool, kitchen.id, id, now())) ? done({}) : failed({ kind: 'notFound' });

/** What whoever has a link is shown: the bread, and of a ladder its codes. Nothing of how it was made, or of what others said. */
export interface LinkedBread {
  readonly name: string;
  readonly startedAtMs: number;
  readonly timeZone: string;
  readonly rungs: readonly { readonly id: string; readonly code: string }[];
}

/** @param inKitchen a kitchen by its address */
async function opened(
  inKitchen: (address: string) => Promise<Context | null>,
  pool: Context['pool'],
  token: string,
  now: Date,
) {
  const link = await linkByToken(pool, digest(token), now);
  const context = link && (await inKitchen(link.address));
  const bake = context && (await loadBake(context, link.bakeId));
  return bake ? { bake, context } : null;
}
type Opening = Parameters<typeof opened>;

export async function linkedBread(...asked: Opening): Promise<LinkedBread | null> {
  const found = await opened(...asked);
  if (!found) return null;
  const { bake, context } = found;
  return {
    // of a ladder even its name may tell which bread is which
    name: bake.sheet.name,
    startedAtMs: bake.startedAtMs,
    timeZone: context.kitchen.details.timeZone,
    rungs: (bake.sheet.ladder?.rungs ?? []).map(({ id, code }) => ({ id, code })),
  };
}

/** A card by a link: added, never in the place of another. Sent again it is there once. */
export async function tasteByLink(
  { tastingId, tasting }: LinkTasting,
  ...asked: Opening
): Promise<Done<object>> {
  const found = await opened(...asked);
  if (!found) return failed({ kind: 'notFound' });
  const { bake, context } = found;
  const known = stateOf(bake).tastings.get(tastingId);
  if (known) {
    const same = known.taster === tasting.taster && JSON.stringify(known.scores) === JSON.stringify(tasting.scores); // prettier-ignore
    return same ? done({}) : failed({ kind: 'otherContent' });
  }
  const blind = bake.sheet.ladder !== undefined;
  // its own id is the event's: sent twice at once it is written once
  const by = tasting.taster === null ? {} : { by: tasting.taster };
  const taken = await recordTaps(context, bake.id, [
    { eventId: tastingId, agoMs: 0, action: { type: 'tasted', tastingId, tasting: { ...tasting, blind } }, ...by },
  ]); // prettier-ignore
  if (!taken.ok) return taken;
  const problem = taken.value.results[0]?.problem;
  return problem ? invalid({ ...problem, path: problem.path.replace(/^tasting\.?/, '') }) : done({});
}
