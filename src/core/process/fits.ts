import { flatOf, ringLengthM, roundUsualM, USUAL } from '../heat/pieceSize';
import type { PlateKind, Shape, TinKind } from '../method/heating';
import type { MethodStep } from '../method/step';
import type { Room, Surface } from './room';

/** One piece as far as its place is concerned; lengths in cm, null follows from the mass. */
export interface Lying {
  readonly shape: Shape;
  readonly massG: number;
  readonly lengthCm: number | null;
  readonly widthCm: number | null;
  readonly tin: TinKind | null;
}

/** What a load is limited by. `said`: by the baker's own word. */
export const LIMITED_BY = ['said', 'tray', 'plate', 'oven', 'tins', 'kettle', 'oil', 'pan'] as const;
type LimitedBy = (typeof LIMITED_BY)[number];
export interface Fit {
  readonly count: number;
  readonly by: LimitedBy;
}

/** A dough baked is about twice as large as its mass of water (practice: 1.7-2.3), and so much closer is no gap to spread into. */
const BAKED_CM3_PER_G = 1.9;
/** What is left between pieces, cm: they spread, and air must pass. */
const GAP_CM: Readonly<Record<Shape, number>> = {
  tin: 3, hearth: 4, baguette: 4, roll: 2.5, touchingRolls: 0, disc: 1.5, flatbread: 1.5, ring: 2.5, ball: 1.5, round: 2.5,
}; // prettier-ignore
/** A tin's rim stands out so far beyond what it holds, cm. */
const RIM_CM = 1;
/** Of a round surface so much is covered by round things that float or lie in it: they swell and are turned. */
const COVERED_SHARE = 0.5;
/** Cold dough of an eighth of the oil's mass cools it by some 20 °C (heat capacities of both); more, and it soaks instead of frying. */
const LOAD_OF_OIL = 1 / 8;
const OIL_G_PER_LITRE = 920;

/** How much room a piece takes as it comes out, cm: its length and its width. */
export function footprintCm({ shape, massG, lengthCm, widthCm }: Lying): { long: number; wide: number } {
  const volumeM3 = (massG * BAKED_CM3_PER_G) / 1e6;
  const both = (acrossM: number) => ({ long: acrossM * 100, wide: acrossM * 100 });
  switch (shape) {
    case 'tin': {
      const wide =
        widthCm ?? 100 * Math.cbrt(volumeM3 / (USUAL.tinLengthOverWidth * USUAL.tinHeightOverWidth));
      return { long: (lengthCm ?? wide * USUAL.tinLengthOverWidth) + RIM_CM, wide: wide + RIM_CM };
    }
    case 'baguette': {
      const long = lengthCm ?? USUAL.baguetteCm;
      return { long, wide: 200 * Math.sqrt(volumeM3 / (Math.PI * (long / 100))) };
    }
    case 'ring': {
      if (lengthCm !== null) return { long: lengthCm, wide: lengthCm };
      const long = ringLengthM(volumeM3, null);
      return both(long / Math.PI + 2 * Math.sqrt(volumeM3 / (Math.PI * long)));
    }
    case 'disc':
    case 'flatbread':
      // flat ones hardly grow: they are as wide as they are rolled
      return both(flatOf({ shape, massG }, massG / 1e6, lengthCm === null ? null : lengthCm / 100).across);
    case 'ball':
      return both(2 * Math.cbrt((3 * volumeM3) / (4 * Math.PI)));
    default:
      return lengthCm === null ? both(roundUsualM(shape, volumeM3)) : { long: lengthCm, wide: lengthCm };
  }
}

const rows = (roomCm: number, eachCm: number, gapCm: number): number =>
  Math.floor((roomCm + gapCm) / (eachCm + gapCm) + 1e-9);

/** Round ones in rows that lie in one another's gaps. */
function staggered(alongCm: number, acrossCm: number, eachCm: number, gapCm: number): number {
  if (eachCm > acrossCm) return 0;
  const pitchCm = eachCm + gapCm;
  const count = 1 + Math.floor((acrossCm - eachCm) / (pitchCm * Math.sqrt(0.75)) + 1e-9);
  const odd = rows(alongCm, eachCm, gapCm);
  const even = Math.max(0, rows(alongCm - pitchCm / 2, eachCm, gapCm));
  return odd * Math.ceil(count / 2) + even * Math.floor(count / 2);
}

/** How many lie on a surface, in rows of either way round, round ones staggered where that takes more; on a round one by the share of it they cover. */
export function fitsOn({ lengthCm, widthCm, round }: Surface, piece: Lying): number {
  const { long, wide } = footprintCm(piece);
  const gap = GAP_CM[piece.shape];
  if (round) return inRound(lengthCm, Math.sqrt((long + gap) * (wide + gap)), Math.max(long, wide));
  return Math.max(
    ...(long === wide
      ? [staggered(lengthCm, widthCm, long, gap), staggered(widthCm, lengthCm, long, gap)]
      : []),
    rows(lengthCm, long, gap) * rows(widthCm, wide, gap),
    rows(lengthCm, wide, gap) * rows(widthCm, long, gap),
  );
}

/** One that just fits is one; several cover so much of the round. */
const inRound = (acrossCm: number, eachCm: number, longCm: number): number =>
  longCm > acrossCm ? 0 : Math.max(1, Math.floor(COVERED_SHARE * (acrossCm / eachCm) ** 2 + 1e-9));

const floating = (acrossCm: number, piece: Lying): number => {
  const { long } = footprintCm(piece);
  return inRound(acrossCm, long, long);
};

const least = (all: readonly (Fit | null)[]): Fit | null => {
  const known = all.filter((fit) => fit !== null);
  return known.length === 0 ? null : known.reduce((a, b) => (b.count < a.count ? b : a));
};

function inOven(on: PlateKind | null, piece: Lying, { oven, plates, tins }: Room): Fit | null {
  const { floor, shelves } = oven;
  const floorFit: Fit | null = floor && { count: shelves * fitsOn(floor, piece), by: 'oven' };
  if (piece.shape === 'tin') {
    const mine = tins.filter((tin) => tin.kind === piece.tin && isTinFor(tin, piece));
    const have = mine.reduce((sum, { count }) => sum + count, 0);
    return least([floorFit, have > 0 ? { count: have, by: 'tins' } : null]);
  }
  const wanted = on ?? 'tray';
  const measured = plates.filter(({ kind }) => kind === wanted);
  if (measured.length === 0) return floorFit;
  // as many as go in at once, the roomiest first
  const each = measured
    .flatMap(({ surface, count }) => Array.from({ length: count }, () => fitsOn(surface, piece)))
    .sort((a, b) => b - a);
  const used = wanted === 'tray' || wanted === 'castIron' ? shelves : 1;
  const count = each.slice(0, used).reduce((sum, fits) => sum + fits, 0);
  return { count, by: wanted === 'tray' ? 'tray' : 'plate' };
}

/** A tin of the kit is meant where it is about as long and wide as the formula's, or as a tin for so much dough usually is. */
export function isTinFor(tin: { lengthCm: number; widthCm: number }, piece: Lying): boolean {
  const { long, wide } = footprintCm(piece);
  const near = (ownCm: number | null, usualCm: number, tinCm: number) =>
    ownCm === null ? Math.abs(tinCm / usualCm - 1) <= 0.3 : Math.abs(ownCm - tinCm) <= 1.5;
  return near(piece.lengthCm, long - RIM_CM, tin.lengthCm) && near(piece.widthCm, wide - RIM_CM, tin.widthCm);
}

/**
 * How many pieces go in together at a step: what the baker said, else what the kitchen's measures allow; null where nothing was measured, 0 where not
 * even one fits (a screen says so, and one goes in all the same).
 *
 * A tray of 40 × 30 cm takes 12 rolls of 85 g (7.1 cm across, 2.5 cm between): four rows of three.
 *
 * @param on what is under it in the oven; null: as is usual
 */
export function fitOf(
  step: MethodStep,
  piece: Lying,
  room: Room,
  said: number | null,
  on: PlateKind | null,
): Fit | null {
  const own = step.atATime ?? said;
  if (own) return { count: own, by: 'said' };
  return roomFor(step, piece, room, on);
}

function roomFor({ kind }: MethodStep, piece: Lying, room: Room, on: PlateKind | null): Fit | null {
  switch (kind) {
    case 'bake':
    case 'coast':
      return inOven(on, piece, room);
    case 'boil':
      return room.kettleCm === null ? null : { count: floating(room.kettleCm, piece), by: 'kettle' };
    case 'fry':
      return room.fryerCm === null
        ? null
        : least([
            { count: floating(room.fryerCm, piece), by: 'pan' },
            room.oilLitres === null
              ? null
              : {
                  count: Math.max(
                    1,
                    Math.floor((LOAD_OF_OIL * OIL_G_PER_LITRE * room.oilLitres) / piece.massG),
                  ),
                  by: 'oil',
                },
          ]);
    case 'griddle': {
      const plate = room.plates.find((each) => each.kind === 'griddle');
      if (plate) return { count: fitsOn(plate.surface, piece), by: 'plate' };
      return room.panCm === null
        ? null
        : { count: fitsOn({ lengthCm: room.panCm, widthCm: room.panCm, round: true }, piece), by: 'pan' };
    }
    default:
      return null;
  }
}
