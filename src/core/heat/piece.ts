import type { Shape } from '../method/heating';
import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { block, graded, grouped, radial, slab, together, type Grid } from './grid';
import { HEAT } from './parameters';
import { flatOf, ringLengthM, roundUsualM, USUAL } from './pieceSize';

/** One piece as it goes in. Lengths in cm; what is null follows from the mass. */
export interface Piece {
  readonly shape: Shape;
  readonly massG: number;
  /** Volume as it bakes over that of its dough without bubbles: rise and oven spring. */
  readonly lightness: number;
  /** tin: inner length and width; baguette: length; disc and flatbread: diameter; hearth: diameter; ring: across, as it comes out. */
  readonly lengthCm: number | null;
  readonly widthCm: number | null;
  /** round: how thick it goes in. */
  readonly heightCm?: number;
  /** Volume as it comes out over that as it goes in; 1 where nothing is said: it bakes at its final size. */
  readonly springs?: number;
}

/** Mass that a shape may have, g; lengths in cm. A 2 kg roll is no roll. */
export const PIECE_LIMITS: Readonly<
  Record<Shape, { readonly massG: { readonly min: number; readonly max: number } }>
> = {
  tin: { massG: { min: 50, max: 5000 } },
  hearth: { massG: { min: 100, max: 4000 } },
  baguette: { massG: { min: 40, max: 900 } },
  roll: { massG: { min: 15, max: 400 } },
  touchingRolls: { massG: { min: 15, max: 400 } },
  disc: { massG: { min: 15, max: 1500 } },
  flatbread: { massG: { min: 5, max: 1500 } },
  ring: { massG: { min: 15, max: 400 } },
  ball: { massG: { min: 3, max: 200 } },
  round: { massG: { min: 10, max: 400 } },
};
const LENGTH_CM = { min: 2, max: 120 } as const;
const LIGHTNESS = { min: 1, max: 6 } as const;
/** Thinner than this it is a crisp, m; thicker than that no home oven bakes it through. */
const THICK_M = { min: 0.0008, max: 0.2 };

/** A grid of fewer cells over the same body, and for each cell of the finer one the cell it is part of. */
export interface Resting {
  readonly grid: Grid;
  readonly cellOf: Int32Array;
}

export interface Body {
  readonly grid: Grid;
  /** For when it cools. */
  readonly resting: Resting;
  readonly volumeM3: number;
  readonly heightM: number;
  readonly acrossM: number;
  readonly lengthM: number;
  /** Gas share of the volume. */
  readonly porosity: number;
  /** What the ends of a bar have of skin beside that of its sides, which is all the grid knows. */
  readonly endsShare: number;
}

/** The finest cell at the crust and how fast they may grow inwards: shipped for what is shown, coarse for the draws. */
const GRIDS = {
  shipped: { finestM: 0.0016, grow: 1.45 },
  coarse: { finestM: 0.0032, grow: 1.5 },
} as const;
export type GridKind = keyof typeof GRIDS;
/** A flat's finest cell, as so many to its thickness. */
const FLAT_CELLS: Readonly<Record<GridKind, number>> = { shipped: 8, coarse: 5 };

/**
 * While it cools its cells are so thick at least: so much, m, or so much of a thin piece's thickness. What is drawn is held against the middle
 * of its own grid, so that grid may be rough.
 */
const RESTS = { finestM: { shipped: 0.003, coarse: 0.007 }, share: 0.22 } as const;

/** Both grids over widths across (or outwards) and up; a radius has no up. */
function gridsOf(
  across: readonly number[],
  up: readonly number[],
  thickM: number,
  kind: GridKind,
  lay: (across: readonly number[], up: readonly number[]) => Grid,
): Pick<Body, 'grid' | 'resting'> {
  const atLeastM = Math.min(RESTS.finestM[kind], RESTS.share * thickM);
  const groupsAcross = together(across, atLeastM, 'last');
  const groupsUp = together(up, atLeastM, 'both');
  const fewAcross = grouped(across, groupsAcross);
  const cellOf = groupsUp.flatMap((j) => groupsAcross.map((i) => j * fewAcross.length + i));
  const grid = lay(across, up);
  // of two middle cells the same one
  const few = { ...lay(fewAcross, grouped(up, groupsUp)), core: cellOf[grid.core]! };
  return { grid, resting: { grid: few, cellOf: Int32Array.from(cellOf) } };
}

/** How wide a piece that stands free is, from its usual proportions or from how thick it went in. */
function roundWidthM({ shape, heightCm }: Piece, volumeM3: number, springs: number): number {
  if (heightCm) return Math.sqrt((4 * volumeM3) / (Math.PI * (heightCm / 100) * springs ** HEAT.roundRises));
  return roundUsualM(shape, volumeM3);
}

/**
 * The body a piece bakes as.
 * - tin: half the cross-section of a bar of the tin's width (its ends change the middle of a usual tin by less than the range);
 * - hearth, roll: a round block of the same volume, height and width;
 * - touching rolls: the same, its side passing no heat;
 * - baguette, ring: round bar of the same volume, a quarter of its skin on what it lies on;
 * - disc, flatbread: slab; ball: sphere; round: a flattened ball, as a block of its thickness.
 *
 * @returns `tooSmall` / `tooLarge` at massG, lengthCm, widthCm, lightness or thickness
 */
export function bodyOf(
  piece: Piece,
  densityKgPerM3: number,
  kind: GridKind = 'shipped',
  /** Lies in oil or water: half of a ring is above it. */
  floats = false,
): Result<Body> {
  const mass = within(piece.massG, PIECE_LIMITS[piece.shape].massG, 'massG');
  if (!mass.ok) return mass;
  const light = within(piece.lightness, LIGHTNESS, 'lightness');
  if (!light.ok) return light;
  for (const field of ['lengthCm', 'widthCm'] as const) {
    const value = piece[field];
    const checked = value === null ? ok(0) : within(value, LENGTH_CM, field);
    if (!checked.ok) return checked;
  }
  const volumeM3 = (piece.massG / 1000 / densityKgPerM3) * piece.lightness;
  const porosity = 1 - 1 / piece.lightness;
  const springs = piece.springs ?? 1;
  const { finestM, grow } = GRIDS[kind];
  const lengthM = piece.lengthCm === null ? null : piece.lengthCm / 100;
  const widthM = piece.widthCm === null ? null : piece.widthCm / 100;
  const done = (
    widths: { readonly across: readonly number[]; readonly up: readonly number[] },
    lay: (across: readonly number[], up: readonly number[]) => Grid,
    heightM: number,
    acrossM: number,
    longM: number,
  ): Result<Body> => {
    const thick = Math.min(heightM, acrossM);
    if (thick < THICK_M.min) return refuse('tooSmall', 'thicknessM', { min: THICK_M.min });
    if (thick > THICK_M.max) return refuse('tooLarge', 'thicknessM', { max: THICK_M.max });
    const bar = piece.shape === 'tin' || piece.shape === 'baguette';
    const endsShare = bar ? (heightM * acrossM) / ((heightM + acrossM) * longM) : 0;
    return ok({
      ...gridsOf(widths.across, widths.up, thick, kind, lay),
      volumeM3,
      heightM,
      acrossM,
      lengthM: longM,
      porosity,
      endsShare,
    });
  };
  /** One cell where there is no such way. */
  const NONE = [1];
  switch (piece.shape) {
    case 'tin': {
      const width = widthM ?? Math.cbrt(volumeM3 / (USUAL.tinLengthOverWidth * USUAL.tinHeightOverWidth));
      const long = lengthM ?? width * USUAL.tinLengthOverWidth;
      const height = volumeM3 / (width * long);
      return done(
        { across: graded(width / 2, finestM, 'last', grow), up: graded(height, finestM, 'both', grow) },
        (across, up) => block(across, up, { round: false, lengthM: long }),
        height,
        width,
        long,
      );
    }
    case 'hearth':
    case 'roll':
    case 'touchingRolls':
    case 'round': {
      // a block as high and wide as gives its middle about the depth a dome's has
      const width = lengthM ?? roundWidthM(piece, volumeM3, springs);
      const height = (4 * volumeM3) / (Math.PI * width * width);
      return done(
        { across: graded(width / 2, finestM, 'last', grow), up: graded(height, finestM, 'both', grow) },
        (across, up) => block(across, up, { round: true }),
        height,
        width,
        width,
      );
    }
    case 'baguette':
    case 'ring': {
      // a ring is a bar as long as the middle of its tube goes round
      const long =
        piece.shape === 'baguette' ? (lengthM ?? USUAL.baguetteCm / 100) : ringLengthM(volumeM3, lengthM);
      const radius = Math.sqrt(volumeM3 / (Math.PI * long));
      return done(
        { across: graded(radius, finestM, 'last', grow), up: NONE },
        (out) => radial(out, { ball: false, lengthM: long }, floats ? 0.5 : 0.22),
        2 * radius,
        2 * radius,
        long,
      );
    }
    case 'disc':
    case 'flatbread': {
      const { area, height, across } = flatOf(piece, volumeM3, lengthM);
      const fine = Math.min(finestM, height / FLAT_CELLS[kind]);
      return done(
        { across: NONE, up: graded(height, fine, 'both', grow) },
        (_, up) => slab(up, area),
        height,
        across,
        across,
      );
    }
    case 'ball': {
      const radius = Math.cbrt((3 * volumeM3) / (4 * Math.PI));
      return done(
        { across: graded(radius, finestM, 'last', grow), up: NONE },
        (out) => radial(out, { ball: true }, 0),
        2 * radius,
        2 * radius,
        2 * radius,
      );
    }
  }
}
