import type { Figures } from '../calibrated';
import type { CrumbMatter } from './crumbMatter';
import { SIDES, type Grid } from './grid';
import type { Resting } from './piece';
import { boilingAtC, vapourConductionWPerMK, vapourPassesKgPerSMPa } from './water';

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
  /** Something solid it lies on: its spots are hotter than its mean, by so much of the way to what they touch. */
  touches?: boolean;
  /** A thin piece lies flat on it: steam from there leaves through the crumb. */
  seals?: boolean;
  spots?: number;
}

/** Physical figures of one run: the fitted ones with what was drawn for the range. */
export interface BodyFigures {
  readonly matter: CrumbMatter;
  /** Bubbles' share of the piece as it comes out. */
  readonly porosity: number;
  readonly pressurePa: number;
  /** Conductivity against composition; the open part of the vapour path; a dry crust's conductivity, W/(m K). */
  readonly conduction: number;
  readonly vapourPath: number;
  readonly vapourMostWPerMK: number;
  /** How that falls as bubbles' walls grow thin: p (1 - p)^this, 1 at its best. */
  readonly vapourWalls: number;
  readonly crustWPerMK: number;
  /** What a crust lets vapour through, kg/(s m Pa). */
  readonly crustPasses: number;
  /** Water's movement in crumb at 25 °C, m²/s, and its activity's half at 100 °C, kg/kg. */
  readonly creepM2PerS: number;
  readonly halfActivity: number;
  /** Browning of a dry skin at 160 °C, index per s; activation energy over the gas constant, K; water that halves it, kg/kg. */
  readonly brownPerS: number;
  readonly brownK: number;
  readonly brownWet: number;
  /** How much more readily the upper side browns for what is brushed on it. */
  readonly washBrowns: number;
  /** Of the steam that arises where it touches, the share that has to leave through the crumb. */
  readonly steamInward: number;
  /** Volume as it comes out over that as it goes in. */
  readonly springs: number;
  /** Turns off water's part (boiling, vapour, drying): plain conduction, for checks against the analytic series. */
  readonly plain?: boolean;
}

/** The fitted figures as one run needs them, each multiplied by what was drawn. */
export function bodyFiguresOf(
  figures: Figures,
  of: Pick<BodyFigures, 'matter' | 'porosity' | 'pressurePa' | 'springs'>,
  drawn: { readonly conduction: number; readonly vapourPath: number; readonly browning: number },
): BodyFigures {
  return {
    ...of,
    conduction: figures.conduction * drawn.conduction,
    vapourPath: figures['vapour.path'] * drawn.vapourPath,
    vapourMostWPerMK: figures['vapour.most'],
    vapourWalls: figures['vapour.walls'],
    crustWPerMK: figures['crust.conducts'],
    crustPasses: figures['crust.passes'] * vapourPassesKgPerSMPa(of.pressurePa),
    creepM2PerS: figures['crumb.creep'],
    halfActivity: figures['skin.halfActivity'],
    brownPerS:
      ((figures['brown.rate'] * drawn.browning) / 60) * of.matter.brownsReadily ** figures['brown.sugar'],
    brownK: figures['brown.energy'] / GAS,
    brownWet: figures['brown.wet'],
    washBrowns: of.matter.washBrowns ?? 1,
    steamInward: figures['steam.inward'],
  };
}
const GAS = 8.314462;

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
  /** The same of the spots that touch best. */
  readonly spots: Float64Array;
  /** How far each cell has grown of what it will, 0 ... 1; and the whole's volume now over that at the end. */
  readonly grown: Float64Array;
  volumeShare: number;
  /** Areas and ways of the grid at that volume, m², m. */
  readonly area: Float64Array;
  readonly wayFrom: Float64Array;
  readonly wayTo: Float64Array;
  readonly edgeArea: Float64Array;
  readonly edgeWay: Float64Array;
  /** From each skin to the middle of its cell, W/(m² K): through what crust there is. */
  readonly inner: Float64Array;
  /** How far the cell under each skin is still wet, 0 ... 1: the rest of it is crust. */
  readonly edgeMoist: Float64Array;
  /** Water per dry matter as it goes in, kg/kg. */
  readonly freshWater: number;
  /** Books: heat taken in through the sides, J; heat and water carried off by vapour, J, kg. Of the modelled part. */
  takenJ: number;
  vapourJ: number;
  vapourKg: number;
  /** Heat given by each side's surroundings in the last step, W, in the order of SIDES. */
  readonly sideW: Float64Array;
  readonly boilsC: number;
  readonly startC: number;
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
  /** Per cell: steam on its way into it within a step, kg. */
  readonly steam: Float64Array;
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
  const state: BodyState = {
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
    spots: new Float64Array(grid.edge.length),
    grown: new Float64Array(n),
    volumeShare: 1,
    area: Float64Array.from(grid.area),
    wayFrom: Float64Array.from(grid.wayFrom),
    wayTo: Float64Array.from(grid.wayTo),
    edgeArea: Float64Array.from(grid.edgeArea),
    edgeWay: Float64Array.from(grid.edgeWay),
    inner: new Float64Array(grid.edge.length),
    edgeMoist: new Float64Array(grid.edge.length).fill(1),
    freshWater: Math.max(1e-6, matter.waterShare / Math.max(0.05, 1 - matter.waterShare)),
    takenJ: 0,
    vapourJ: 0,
    vapourKg: 0,
    sideW: new Float64Array(SIDES.length),
    boilsC: boilingAtC(figures.pressurePa),
    startC,
    sinceSlowS: 0,
    conducts: new Float64Array(n),
    passes: new Float64Array(grid.area.length),
    between: Float64Array.from(grid.area, (area, face) => area / (grid.wayFrom[face]! + grid.wayTo[face]!)),
    crumb: new Float64Array(n),
    asVapour: new Float64Array(n),
    vapourTable: Float64Array.from(
      { length: 141 },
      (_, tempC) => figures.vapourPath * vapourConductionWPerMK(tempC, figures.pressurePa),
    ),
    into: new Float64Array(n),
    waterInto: new Float64Array(n),
    steam: new Float64Array(n),
  };
  if (figures.springs > 1) swellTo(state, 1 / figures.springs);
  return state;
}

/** The same piece on the grid for its cooling: heat, water and dry matter are summed cell by cell, a side's skin is its mean. */
export function rested(of: BodyState, { grid, cellOf }: Resting): BodyState {
  const state = newBody(grid, of.figures, of.startC);
  if (of.volumeShare !== state.volumeShare) swellTo(state, of.volumeShare);
  for (const each of ['dryKg', 'dryJPerK', 'waterKg', 'heatJ', 'gelatinised', 'grown'] as const) {
    const [from, to] = [of[each], state[each]];
    to.fill(0);
    const share = each === 'gelatinised' || each === 'grown';
    for (let cell = 0; cell < cellOf.length; cell += 1)
      to[cellOf[cell]!]! += share
        ? (from[cell]! * of.grid.volume[cell]!) / grid.volume[cellOf[cell]!]!
        : from[cell]!;
  }
  for (let cell = 0; cell < grid.cells; cell += 1)
    state.tempC[cell] =
      state.heatJ[cell]! / (state.dryJPerK[cell]! + state.waterKg[cell]! * WATER_J_PER_KG_K);
  for (const each of ['skinC', 'skinWater', 'brown', 'spots', 'edgeMoist'] as const)
    for (let edge = 0; edge < grid.edge.length; edge += 1)
      state[each][edge] = overSide(of, of[each], grid.side[edge]!);
  state.takenJ = of.takenJ;
  state.vapourJ = of.vapourJ;
  state.vapourKg = of.vapourKg;
  state.sinceSlowS = of.sinceSlowS;
  return state;
}

/** The mean of a boundary figure over one side, by area; 0 where there is no such side. */
export function overSide({ grid }: Pick<BodyState, 'grid'>, values: Float64Array, side: number): number {
  let sum = 0;
  let area = 0;
  for (let edge = 0; edge < grid.edge.length; edge += 1) {
    if (grid.side[edge] !== side) continue;
    sum += values[edge]! * grid.edgeArea[edge]!;
    area += grid.edgeArea[edge]!;
  }
  return area > 0 ? sum / area : 0;
}

/** Bubbles' share of the volume it has now. */
export const porosityNow = ({ figures, volumeShare }: BodyState): number =>
  Math.max(0, 1 - (1 - figures.porosity) / volumeShare);

/** Gives the body so much of its final volume: its cells keep what they hold, their faces and ways follow its shape. */
export function swellTo(state: BodyState, volumeShare: number): void {
  const { grid } = state;
  const { x, z, ends } = GROWS[grid.form](volumeShare);
  for (let face = 0; face < grid.area.length; face += 1) {
    const by = grid.upright[face] === 1 ? z : x;
    state.area[face] = grid.area[face]! * by.area;
    state.wayFrom[face] = grid.wayFrom[face]! * by.way;
    state.wayTo[face] = grid.wayTo[face]! * by.way;
    state.between[face] = state.area[face]! / (state.wayFrom[face]! + state.wayTo[face]!);
  }
  for (let edge = 0; edge < grid.edge.length; edge += 1) {
    const by = ends === 'radial' || SIDES[grid.side[edge]!] === 'side' ? x : z;
    state.edgeArea[edge] = grid.edgeArea[edge]! * by.area;
    state.edgeWay[edge] = grid.edgeWay[edge]! * by.way;
  }
  state.volumeShare = volumeShare;
}

interface Growth {
  /** Faces across and faces up: what area and way are of those at the end. */
  readonly x: { readonly area: number; readonly way: number };
  readonly z: { readonly area: number; readonly way: number };
  readonly ends: 'block' | 'radial';
}
/** How a form grows: in a tin and as a slab upwards, a round block and a ball every way, a bar across. */
const GROWS: Readonly<Record<Grid['form'], (volumeShare: number) => Growth>> = {
  bar: (v) => ({ x: { area: v, way: 1 }, z: { area: 1, way: v }, ends: 'block' }),
  slab: (v) => ({ x: { area: v, way: 1 }, z: { area: 1, way: v }, ends: 'block' }),
  round: (v) => {
    const g = Math.cbrt(v);
    return { x: { area: g * g, way: g }, z: { area: g * g, way: g }, ends: 'block' };
  },
  rod: (v) => {
    const g = Math.sqrt(v);
    return { x: { area: g, way: g }, z: { area: g, way: g }, ends: 'radial' };
  },
  ball: (v) => {
    const g = Math.cbrt(v);
    return { x: { area: g * g, way: g }, z: { area: g * g, way: g }, ends: 'radial' };
  },
};

/** All the heat in the modelled part, J; all its water, kg. */
export const heatOf = (state: BodyState): number => state.heatJ.reduce((sum, each) => sum + each, 0);
export const waterOf = (state: BodyState): number => state.waterKg.reduce((sum, each) => sum + each, 0);
