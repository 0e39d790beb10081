import { bakedAsOf } from '../formula/usualShape';
import type { BatchSheet } from '../batch';
import type { Formula } from '../formula/formula';
import type { Kit } from '../kit';
import { fitsOn, isTinFor, type Lying } from '../process/fits';
import { DAY_LIMITS } from './dayLimits';
import type { DayActivity, DayProblem } from './dayProblem';
import type { BatchStrand, Block } from './strandsOf';

/** Room on racks and shelves is shared out in so many parts. */
const WHOLE = 1000;
type Use = DayActivity['uses'][number];

type Roomy = 'rack' | 'fridge' | 'freezer';
/** Places of a kind whose surface somebody measured. */
const surfaces = (kit: Kit, kind: Roomy) =>
  kit.places.flatMap(({ kind: own, lengthCm, widthCm, shelves }) =>
    own === kind && lengthCm && widthCm ? [{ surface: { lengthCm, widthCm, round: false }, shelves: shelves ?? 1 }] : [],
  ); // prettier-ignore

const tinId = (id: string): string => `tin ${id}`;

/**
 * What there is only so much of in a kitchen, as far as it was said: mixers, kettles and pans by their number, one of each where none is listed; racks, fridge
 * and freezer by their measured room, without limit where nobody measured; tins by their count; bowls to rise in where there are two or more.
 */
export function roomResources(kit: Kit): DayProblem['resources'] {
  const vessels = (kind: Kit['vessels'][number]['kind']) =>
    kit.vessels.filter((vessel) => vessel.kind === kind).length;
  const roomy = (id: Roomy) => ({
    id,
    capacity: surfaces(kit, id).length > 0 ? WHOLE : WHOLE * DAY_LIMITS.most,
  });
  const bowls = vessels('bowl');
  return [
    { id: 'mixer', capacity: Math.max(1, vessels('mixer')) },
    { id: 'kettle', capacity: Math.max(1, vessels('kettle')) },
    { id: 'plate', capacity: Math.max(1, vessels('pan')) },
    { id: 'fryer', capacity: 1 },
    roomy('rack'),
    roomy('fridge'),
    roomy('freezer'),
    ...(bowls > 1 ? [{ id: 'bowl', capacity: bowls }] : []),
    ...kit.tins.flatMap(({ id, count }) => (count === undefined ? [] : [{ id: tinId(id), capacity: count }])),
  ];
}

/** A block with what of its batch is in it. */
interface Lies {
  readonly block: Block;
  /** Null: the dough whole, in its bowl. */
  readonly piece: Lying | null;
  readonly count: number;
  readonly inTin: boolean;
}

const PARTS_IT: ReadonlySet<string> = new Set(['divide', 'shape', 'fill']);
const RISES_IN_BOWL: ReadonlySet<string> = new Set(['bulk', 'preDough']);

type Sheet = Pick<BatchSheet, 'pieces' | 'usableDoughG' | 'activities' | 'ways'>;

/** What lies where, block by block: from dividing on the dough is pieces, from then until they are baked they are in their tins. */
function liesOf(strands: readonly BatchStrand[], sheet: Sheet, formula: Pick<Formula, 'bakedAs' | 'style' | 'ways'>): Lies[] {
  const parted = new Set<string>();
  return strands.flatMap((strand) => {
    let isParted = strand.afterId !== null && parted.has(strand.afterId);
    let isBaked = false;
    const wayId = strand.blocks.find((block) => block.wayId !== null)?.wayId ?? null;
    const way = formula.ways?.find(({ id }) => id === wayId);
    const made = sheet.ways?.find((each) => each.wayId === wayId);
    const as = bakedAsOf(way ? { style: formula.style, ...(way.bakedAs && { bakedAs: way.bakedAs }) } : formula);
    const load = strand.blocks.flatMap(({ calls }) => sheet.activities?.find(({ id }) => id === calls[0]?.activityId)?.pieces ?? [])[0];
    const count = load ?? made?.count ?? sheet.pieces.count;
    const massG = made?.doughG ?? sheet.pieces.doughG;
    const piece: Lying = { shape: as.shape, massG, lengthCm: as.lengthCm, widthCm: as.widthCm, tin: as.tin };
    const lies = strand.blocks.map((block): Lies => {
      isParted ||= PARTS_IT.has(block.kind);
      const inTin = isParted && !isBaked && as.shape === 'tin';
      isBaked ||= block.kind === 'bake';
      return { block, piece: isParted ? piece : null, count, inTin };
    });
    if (isParted) parted.add(strand.id);
    return lies;
  });
} // prettier-ignore

/** So many thousandths of what is there; all of it where it is more than there is, for then it lies closer. */
function partOf(kit: Kit, kind: Roomy, piece: Lying, count: number): number {
  const measured = surfaces(kit, kind);
  if (measured.length === 0) return 1;
  const fit = measured.reduce((sum, { surface, shelves }) => sum + shelves * fitsOn(surface, piece), 0);
  return fit === 0 ? WHOLE : Math.min(WHOLE, Math.ceil((WHOLE * count) / fit));
}

function usesOf({ block, piece, count, inTin }: Lies, kit: Kit, doughG: number): Use[] {
  const { resource, kind } = block;
  const bowl: Lying = { shape: 'ball', massG: doughG, lengthCm: null, widthCm: null, tin: null };
  const room = (id: Roomy): Use => ({ resourceId: id, amount: partOf(kit, id, piece ?? bowl, piece ? count : 1) });
  const uses: Use[] = [];
  if (kind === 'cool') uses.push(room('rack'));
  else if (resource === 'fridge' || resource === 'freezer') uses.push(room(resource));
  else if (resource !== null && resource !== 'oven') uses.push({ resourceId: resource, amount: 1 });
  if (RISES_IN_BOWL.has(kind) && !piece && kit.vessels.filter((vessel) => vessel.kind === 'bowl').length > 1) uses.push({ resourceId: 'bowl', amount: 1 });
  if (inTin && piece) {
    const tins = kit.tins.filter((tin) => tin.count !== undefined && tin.kind === piece.tin && isTinFor(tin, piece));
    const [best] = [...tins].sort((a, b) => b.count! - a.count!);
    if (best) uses.push({ resourceId: tinId(best.id), amount: Math.min(count, best.count!) });
  }
  return uses;
} // prettier-ignore

/** What each block of a batch takes of the kitchen's room, by the block's id. */
export const roomUses = (
  strands: readonly BatchStrand[],
  sheet: Sheet,
  formula: Parameters<typeof liesOf>[2],
  kit: Kit,
): ReadonlyMap<string, readonly Use[]> => {
  const all = liesOf(strands, sheet, formula);
  const cooling = all.filter(({ block }) => block.kind === 'cool').length;
  // what one batch brings out lies closer where it has to: only others may be in its way
  const closer = (use: Use): Use =>
    use.resourceId === 'rack' ? { ...use, amount: Math.min(use.amount, Math.floor(WHOLE / cooling)) } : use;
  return new Map(all.map((lies) => [lies.block.id, usesOf(lies, kit, sheet.usableDoughG).map(closer)]));
};
