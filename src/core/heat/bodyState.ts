import type { CrumbMatter } from './crumbMatter';
import { SIDES, type Grid } from './grid';
import { HEAT } from './parameters';
import { boilingAtC, vapourConductionWPerMK } from './water';

/** What a side of the piece meets over a step. */
export interface Meeting {
  /** Fluid or solid it touches, °C, and how well, W/(m² K). */
  tempC: number;
  hWPerM2K: number;
  /** Radiation from walls of this temperature; 0: none. */
  emissivity: number;
  wallC: number;
  /** Mass transfer, kg/(s m² Pa), and vapour pressure away from the surface, Pa; 0: sealed by what it touches. */
  massPerPa: number;
  vapourPa: number;
}

/** Physical figures of one run: drawn for the range. */
export interface BodyFigures {
  readonly matter: CrumbMatter;
  readonly porosity: number;
  readonly pressurePa: number;
  readonly conduction: number;
  readonly vapourPath: number;
  readonly browning: number;
  /** Turns off water's part (boiling, vapour, drying): plain conduction, for checks against the analytic series. */
  readonly plain?: boolean;
}

/** The piece while it bakes. Arrays per cell (or per boundary face) of the grid; changed in place by `advance`. */
export interface BodyState {
  readonly grid: Grid;
  readonly figures: BodyFigures;
  /** Per cell: dry matter, kg; heat capacity of it, J/K; water, kg; heat above 0 °C, J; temperature, °C; gelatinised share. */
  readonly dryKg: Float64Array;
  readonly dryJPerK: Float64Array;
  readonly waterKg: Float64Array;
  readonly heatJ: Float64Array;
  readonly tempC: Float64Array;
  readonly gelatinised: Float64Array;
  /** Per boundary face: surface temperature, °C, water per dry matter of the skin, browning index. */
  readonly skinC: Float64Array;
  readonly skinWater: Float64Array;
  readonly brown: Float64Array;
  /** Books: heat taken in through the sides, J; heat and water carried off by vapour, J, kg. Of the modelled part. */
  takenJ: number;
  vapourJ: number;
  vapourKg: number;
  /** Heat given by each side's surroundings in the last step, W, in the order of SIDES. */
  readonly sideW: Float64Array;
  readonly boilsC: number;
  sinceSlowS: number;
  readonly conducts: Float64Array;
  /** Per inner face, W/K: fresh as long as `conducts` is. */
  readonly passes: Float64Array;
  /** Per inner face: area over the way between its cells' centres, m. */
  readonly between: Float64Array;
  /** Per cell: water per dry matter, kg/kg, at the beginning of a step. */
  readonly crumb: Float64Array;
  /** Vapour that goes along with heat through a cell's bubbles, kg/J, as long as it is wet: it takes water from hot to cold. */
  readonly asVapour: Float64Array;
  readonly vapourTable: Float64Array;
  readonly into: Float64Array;
  readonly waterInto: Float64Array;
}

export const WATER_J_PER_KG_K = 4200;

export function newBody(grid: Grid, figures: BodyFigures, startC: number): BodyState {
  const { matter, porosity } = figures;
  const n = grid.cells;
  const kgPerM3 = matter.densityKgPerM3 * (1 - porosity);
  const dryKg = Float64Array.from(grid.volume, (volume) => volume * kgPerM3 * (1 - matter.waterShare));
  const waterKg = Float64Array.from(grid.volume, (volume) => volume * kgPerM3 * matter.waterShare);
  const dryJPerK = Float64Array.from(dryKg, (kg) => kg * matter.dryHeatJPerKgK);
  const heatJ = Float64Array.from(dryJPerK, (c, cell) => (c + waterKg[cell]! * WATER_J_PER_KG_K) * startC);
  const vapour = HEAT.vapourPath.value * figures.vapourPath * porosity;
  return {
    grid,
    figures,
    dryKg,
    dryJPerK,
    waterKg,
    heatJ,
    tempC: new Float64Array(n).fill(startC),
    gelatinised: new Float64Array(n),
    skinC: new Float64Array(grid.edge.length).fill(startC),
    skinWater: new Float64Array(grid.edge.length).fill(
      matter.waterShare / Math.max(0.05, 1 - matter.waterShare),
    ),
    brown: new Float64Array(grid.edge.length),
    takenJ: 0,
    vapourJ: 0,
    vapourKg: 0,
    sideW: new Float64Array(SIDES.length),
    boilsC: boilingAtC(figures.pressurePa),
    sinceSlowS: 0,
    conducts: new Float64Array(n),
    passes: new Float64Array(grid.area.length),
    between: Float64Array.from(grid.area, (area, face) => area / (grid.wayFrom[face]! + grid.wayTo[face]!)),
    crumb: new Float64Array(n),
    asVapour: new Float64Array(n),
    vapourTable: Float64Array.from({ length: 141 }, (_, tempC) =>
      Math.min(HEAT.vapourPath.mostWPerMK, vapour * vapourConductionWPerMK(tempC, figures.pressurePa)),
    ),
    into: new Float64Array(n),
    waterInto: new Float64Array(n),
  };
}

/** All the heat in the modelled part, J; all its water, kg. */
export const heatOf = (state: BodyState): number => state.heatJ.reduce((sum, each) => sum + each, 0);
export const waterOf = (state: BodyState): number => state.waterKg.reduce((sum, each) => sum + each, 0);
