import { LRUCache } from 'lru-cache';
import type { BakeRecord, CardOvens } from '@/core/bake';
import { ORDINARY_KIT } from '@/core/kit';
import { heatUpTimes } from '@/core/kit/heatUpTimes';
import { ovenFor } from '@/core/kit/ovenFor';
import type { Queryable } from '@/db/rows';
import { KITS, newestVersion } from '@/db/queries/versions';

/** A stone takes some 25 ms to be heated in the model, and every tap at the bench asks. */
const heating = new LRUCache<string, ReturnType<typeof heatUpTimes>>({ max: 100 });

/** How long a kitchen's ovens take to be hot for a bake, as its kit is now. */
export async function cardOvens(
  db: Queryable,
  kitchenId: string,
  { steps }: Pick<BakeRecord['sheet'], 'steps'>,
): Promise<CardOvens> {
  const { newest } = await newestVersion(db, KITS, kitchenId);
  const kit = newest?.value ?? ORDINARY_KIT;
  const usual = ovenFor(kit, { steps });
  const key = JSON.stringify([kit.ovens, kit.roomC, usual?.id]);
  const heatUpS = heating.get(key) ?? heatUpTimes(kit, usual);
  heating.set(key, heatUpS);
  return { heatUpS, nameOf: (ovenId) => (kit.ovens.find(({ id }) => id === ovenId) ?? usual)?.name ?? '' };
}
