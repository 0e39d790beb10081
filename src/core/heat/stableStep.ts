import { porosityNow, WATER_J_PER_KG_K, type BodyState, type Meeting } from './bodyState';
import { HEAT, STEFAN_BOLTZMANN } from './parameters';
import { latentJPerKg, vapourPressureFast } from './water';

const FRONT = HEAT.frontShare;
/** From so much water per dry matter on all pores have wet walls. */
export const WET = 0.25;
/** Heat content of steam above water at 0 °C, J/kg: it changes by under one per cent between 90 and 130 °C. */
export const STEAM_J_PER_KG = HEAT.latent.at100 + 100 * WATER_J_PER_KG_K;
/** A skin's pores are closed so deep, m, until it has dried. */
const CLOSED_M = HEAT.closedSkinM;
/** How fast vapour pressure rises with temperature, share per °C between 50 and 100 °C. */
const PRESSURE_PER_K = 0.042;

/** How far vapour has to go through the crust, m: from where the outer cell is still wet, and a closed skin at the least. */
export const crustPathM = (moist: number, wayM: number): number => {
  const dryM = 2 * wayM * (1 - moist);
  return dryM > CLOSED_M ? dryM : CLOSED_M;
};

/** Maxwell-Eucken: bubbles of air (0.026 W/(m K)) in a conducting mass. */
function porousWPerMK(solid: number, porosity: number): number {
  const air = 0.026;
  return (
    (solid * (2 * solid + air - 2 * porosity * (solid - air))) / (2 * solid + air + porosity * (solid - air))
  );
}

/** Fills `conducts` and answers with the longest explicit step that stays stable, s. */
export function stableStepS(state: BodyState, meetings: readonly Meeting[]): number {
  const {
    grid,
    figures,
    dryKg,
    dryJPerK,
    waterKg,
    tempC,
    skinC,
    conducts,
    passes,
    asVapour,
    vapourTable,
    into,
    area,
    wayFrom,
    wayTo,
    edgeArea,
    edgeWay,
    inner,
    freshWater,
  } = state;
  const porosity = porosityNow(state);
  const solid = porousWPerMK(figures.matter.conductsWPerMK * figures.conduction, porosity);
  // vapour crosses bubbles from wall to wet wall: the thinner the walls, the less water and conducting wall there is on the way
  const walls = figures.vapourWalls;
  const open = ((1 + walls) ** (1 + walls) / walls ** walls) * porosity * (1 - porosity) ** walls;
  const crust = figures.crustWPerMK;
  const most = figures.vapourMostWPerMK;
  for (let cell = 0; cell < grid.cells; cell += 1) {
    into[cell] = 0;
    if (figures.plain) {
      conducts[cell] = solid;
      continue;
    }
    const wet = Math.min(1, waterKg[cell]! / (WET * dryKg[cell]!));
    const t = tempC[cell]!;
    const at = t < 0 ? 0 : t > 139 ? 139 : t;
    const low = at | 0;
    const path = open * (vapourTable[low]! + (vapourTable[low + 1]! - vapourTable[low]!) * (at - low));
    const vapour = path < most * open ? path : most * open;
    conducts[cell] = crust + wet * (solid - crust + vapour);
    asVapour[cell] = vapour / conducts[cell]! / latentJPerKg(t);
  }
  for (let face = 0; face < area.length; face += 1) {
    const a = grid.from[face]!;
    const b = grid.to[face]!;
    const g = area[face]! / (wayFrom[face]! / conducts[a]! + wayTo[face]! / conducts[b]!);
    passes[face] = g;
    into[a]! += g;
    into[b]! += g;
  }
  for (let edge = 0; edge < grid.edge.length; edge += 1) {
    const cell = grid.edge[edge]!;
    const meeting = meetings[grid.side[edge]!]!;
    const hotter = skinC[edge]! > meeting.wallC ? skinC[edge]! : meeting.wallC;
    // what radiates as if it were a film; 25 W/(m² K) at 205 °C
    const radiates = hotter > 205 ? 4 * STEFAN_BOLTZMANN * (hotter + 273.15) ** 3 : 25;
    const h = meeting.hWPerM2K + meeting.emissivity * radiates;
    const way = edgeWay[edge]!;
    if (figures.plain) inner[edge] = conducts[cell]! / way;
    else {
      // drying goes inwards as a front: of the outer cell what has lost its water is crust, before the whole of it is
      const moist = waterKg[cell]! / (FRONT * freshWater * dryKg[cell]!);
      state.edgeMoist[edge] = moist < 1 ? moist : 1;
      const dryM = moist < 1 ? 2 * way * (1 - moist) : 0;
      inner[edge] = dryM < way ? 1 / (dryM / crust + (way - dryM) / conducts[cell]!) : crust / way;
    }
    if (h > 0) into[cell]! += edgeArea[edge]! / (1 / h + 1 / inner[edge]!);
    if (meeting.massPerPa > 0 && !figures.plain) {
      const breathes = figures.crustPasses / crustPathM(state.edgeMoist[edge]!, way);
      const through = (breathes * meeting.massPerPa) / (breathes + meeting.massPerPa);
      const crumb = waterKg[cell]! / dryKg[cell]!;
      const t = tempC[cell]! < 130 ? tempC[cell]! : 130;
      const slope = (PRESSURE_PER_K * vapourPressureFast(t) * crumb) / (crumb + figures.halfActivity);
      into[cell]! += edgeArea[edge]! * through * slope * STEAM_J_PER_KG;
    }
  }
  let step = Infinity;
  for (let cell = 0; cell < grid.cells; cell += 1) {
    const limit = (dryJPerK[cell]! + waterKg[cell]! * WATER_J_PER_KG_K) / into[cell]!;
    if (limit < step) step = limit;
  }
  // under the limit, so that no cell overshoots its neighbours, with room for what changes until it is asked again
  return 0.6 * step;
}
