import type pg from 'pg';
import { readKitchenFile, type KitchenFile } from '@/core/formats';
import { libraryBook } from '@/core/ingredients';
import { ORDINARY_KIT, PLAIN_WAYS, type KitchenDetails } from '@/core/kit';
import type { Baking, SetUpKitchen } from '@/core/requests';
import { insertRevision } from '@/db/queries/formulas';
import { insertVersion, KITS } from '@/db/queries/versions';
import {
  isDemoBrought,
  listKitchens,
  lockDemoBrought,
  lockKitchens,
  markDemoBrought,
  removeKitchen,
  updateKitchen,
  type KitchenRow,
} from '@/db/queries/kitchens';
import { transaction } from '@/db/transaction';
import demoFile from '@/demo/larkspurLock.json';
import demoPictures from '@/demo/pictures.json';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';
import { importArchive } from './importArchive';
import { importKitchen, insertKitchenFile } from './importKitchen';
import { insertPictures } from './insertPictures';
import { makeKitchen } from './makeKitchen';

/** What goes beyond one kitchen. */
export interface Installation {
  readonly pool: pg.Pool;
  readonly newId: () => string;
  readonly now: () => Date;
}

/** A kitchen as the first page lists it. */
export interface KitchenCard {
  readonly address: string;
  readonly name: string;
  readonly demo: boolean;
}

const cardOf = ({ address, demo, details }: KitchenRow): KitchenCard => ({
  address,
  name: details.name,
  demo,
});

export const kitchensHere = async ({ pool }: Pick<Installation, 'pool'>): Promise<KitchenCard[]> =>
  (await listKitchens(pool)).map(cardOf);

/** The demo kitchen's file, read when it is first needed. */
let demo: KitchenFile | null = null;
function readDemo(): KitchenFile {
  if (demo) return demo;
  const read = readKitchenFile(demoFile, libraryBook);
  if (!read.ok) throw new Error(`The demo kitchen was refused: ${JSON.stringify(read.problem)}`);
  return (demo = read.value);
}

async function insertDemo(client: pg.PoolClient, newId: () => string): Promise<KitchenRow> {
  const kitchen = await insertKitchenFile(client, readDemo(), newId, { demo: true });
  const pictures = new Map(Object.entries(demoPictures));
  const broken = await insertPictures(client, kitchen.id, readDemo(), new Set(pictures.keys()), (id) =>
    Promise.resolve(Buffer.from(pictures.get(id) ?? '', 'base64')),
  );
  if (broken !== null) throw new Error(`A picture of the demo kitchen does not hold: ${broken}`);
  return kitchen;
}

/** Moves the demo kitchen in, once in the life of an installation. @returns whether it did */
export async function bringDemo({ pool, newId }: Installation): Promise<boolean> {
  // a start that has nothing to bring needs no right to
  if (await isDemoBrought(pool)) return false;
  return transaction(pool, async (client) => {
    if (await lockDemoBrought(client)) return false;
    await insertDemo(client, newId);
    await markDemoBrought(client);
    return true;
  });
}

/** The demo kitchen as it was at first, whatever was done to it; also where it had been removed. */
export const renewDemo = (installation: Installation): Promise<Done<KitchenCard>> =>
  transaction(installation.pool, async (client) => {
    await lockKitchens(client);
    for (const { id } of (await listKitchens(client)).filter((kitchen) => kitchen.demo))
      await removeKitchen(client, id);
    const made = await insertDemo(client, installation.newId);
    return done(cardOf(made));
  });

/** Takes the demo kitchen away, with all that was done in it. A kitchen of one's own is not removed by this. */
export async function removeDemo({ pool, kitchen }: Context): Promise<Done<{ removed: boolean }>> {
  if (!kitchen.demo) return failed({ kind: 'notFound' });
  return done({ removed: await removeKitchen(pool, kitchen.id) });
}

/** Formulas of ours to begin with, by what somebody bakes: each works with what the library knows. */
const STARTERS: Readonly<Record<Baking, readonly string[]>> = {
  everything: ['millet-tin', 'supper-rolls', 'pizza-discs'],
  loaves: ['millet-tin', 'buckwheat-round', 'sorghum-baton'],
  small: ['supper-rolls', 'poppy-rings', 'fried-knots'],
  flat: ['pizza-discs', 'griddle-flats', 'crispbread'],
  none: [],
};

/** A kitchen of one's own, from what a newcomer answered; the same wish sent again is the same kitchen. */
export const setUpKitchen = (
  { pool, newId, now }: Installation,
  { requestId, name, timeZone, baking, ovenKind, altitudeM, ...ways }: SetUpKitchen,
): Promise<Done<KitchenCard>> =>
  transaction(pool, async (client) => {
    const details: KitchenDetails = { ...PLAIN_WAYS, ...ways, name, about: '', timeZone };
    const made = await makeKitchen(client, { id: newId(), details, requestId });
    if (!made.isNew) return done(cardOf(made.kitchen));
    const kitchenId = made.kitchen.id;
    const ovens = ORDINARY_KIT.ovens.map((oven) => ({ ...oven, kind: ovenKind }));
    const kit = { ...ORDINARY_KIT, altitudeM, ovens };
    await insertVersion(client, KITS, {
      kitchenId,
      version: 1,
      requestId: newId(),
      value: kit,
      savedAt: now(),
    });
    for (const key of STARTERS[baking]) {
      const formula = readDemo()
        .formulas.find((each) => each.key === key)
        ?.revisions.at(-1)?.formula;
      if (!formula) throw new Error(`There is no starter ${key}`);
      const revision = { kitchenId, id: newId(), number: 1, requestId: newId(), formula, savedAt: now() };
      await insertRevision(client, revision);
    }
    return done(cardOf(made.kitchen));
  });

/** A kitchen out of a file in the open format, beside those that are here; the same wish sent again is the same kitchen. */
export async function importKitchenAs(
  { pool, newId }: Installation,
  requestId: string,
  file: unknown,
): Promise<Done<KitchenCard>> {
  const made = await importKitchen({ pool, newId }, file, { requestId });
  return made.ok ? done(cardOf(made.value)) : invalid(made.problem);
}

/** Of what comes over the network in one request. */
const WEB_LIMITS = { textBytes: 16 * 1024 * 1024, picturesBytes: 64 * 1024 * 1024 };

/** The same out of an archive with its pictures. */
export async function importArchiveAs(
  { pool, newId }: Installation,
  requestId: string,
  bytes: Buffer,
): Promise<Done<KitchenCard>> {
  const made = await importArchive({ pool, newId }, bytes, WEB_LIMITS, { requestId });
  return made.ok ? done(cardOf(made.value)) : invalid(made.problem);
}

/** Who a kitchen is, as it is called from now on. The last writer is believed: there is one name, and it is seen at once. */
export async function saveDetails(
  { pool, kitchen }: Context,
  details: KitchenDetails,
): Promise<Done<KitchenDetails>> {
  await updateKitchen(pool, kitchen.id, details);
  return done(details);
}
