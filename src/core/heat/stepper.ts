import { swellTo, WATER_J_PER_KG_K as WATER, type BodyState, type Meeting } from './bodyState';
import { crustPathM, STEAM_J_PER_KG, WET } from './stableStep';
import { SIDES } from './grid';
import { HEAT, STEFAN_BOLTZMANN as SIGMA } from './parameters';
import { boilingAtC, latentJPerKg, vapourPressureFast } from './water';

// looked up once: a loaf asks for these some million times, and a bundler may make each look through another module a call
const { perC: CREEPS_PER_C, freeAbove: FREE_ABOVE } = HEAT.moisture;
const { halfActivityPerK: HALF_ACTIVITY_PER_K, spotShare: SPOTS } = HEAT;
const { fastestPerS: FASTEST_PER_S, darkens: DARKENS } = HEAT.browning;
const WATER_J_PER_KG_K = WATER;
const GAS = 8.314462;
const STEFAN_BOLTZMANN = SIGMA;
/** What is brushed on lies on the upper side, whichever way it is turned. */
const TOP = SIDES.indexOf('top');
/** Below so much water per dry matter nothing more boils away. */
const BOUND_WATER = 0.025;
/** Activation energy over the gas constant, K. */
const GELATINISES_K = HEAT.gelatinise.energyJPerMol / GAS;

/** How much faster water moves at the mean of two temperatures given as their sum. */
const warmer = (sumC: number): number => {
  const above = sumC / 2 - 25;
  return above > 0 ? 1 + CREEPS_PER_C * above : 1;
};

/** How freely water moves where so much is left per dry matter: bound water hardly does. */
const loose = (crumb: number): number => (crumb < FREE_ABOVE ? crumb / FREE_ABOVE : 1);

/** How much of a pore's walls are wet at so much water per dry matter: dry ones pass no vapour on. */
const steams = (crumb: number): number => (crumb < WET ? crumb / WET : 1);

/** Skin's water: what the crumb brings to the surface is what the air takes. Closed form of g (Xc - Xs) = β (a(Xs) ps - pa). */
function skinWater(
  crumb: number,
  brings: number,
  takes: number,
  saturatedPa: number,
  vapourPa: number,
  half: number,
): number {
  const p = brings;
  const q = takes * (saturatedPa - vapourPa) - brings * crumb + brings * half;
  const r = -half * (takes * vapourPa + brings * crumb);
  const root = Math.sqrt(Math.max(0, q * q - 4 * p * r));
  // the form that stays a number where a dry crumb brings nothing (p = 0, then q > 0)
  return Math.max(0, q > 0 ? (-2 * r) / (q + root) : (root - q) / (2 * p));
}

/**
 * Carries the piece on by dtS, in place. `conducts` must be fresh ({@link stableStepS}) and dtS within what that allows.
 *
 * Conduction between cells; each side exchanges by convection, radiation and, where air reaches it, evaporation or condensation;
 * water creeps towards dry cells; a cell above its boiling point (raised as it dries) boils off what heat there is over. Heat and
 * water are carried face by face, so that the books balance to rounding.
 */
export function advance(state: BodyState, meetings: readonly Meeting[], dtS: number): void {
  const {
    grid,
    figures,
    dryKg,
    dryJPerK,
    waterKg,
    heatJ,
    tempC,
    passes,
    between,
    crumb: crumbs,
    asVapour,
    into,
    waterInto,
    skinC,
    edgeArea,
    edgeWay,
    inner: inners,
  } = state;
  const { creepM2PerS, halfActivity, brownK, brownWet } = figures;
  const n = grid.cells;
  into.fill(0);
  const wet = !figures.plain;
  waterInto.fill(0);
  const creeps = wet ? (creepM2PerS * dryKg[0]!) / (grid.volume[0]! * state.volumeShare) : 0;
  for (let cell = 0; cell < n; cell += 1) crumbs[cell] = waterKg[cell]! / dryKg[cell]!;
  const { from, to } = grid;
  // of what a cell holds, through each of its four sides and two skins at most so much in a step: never more than there is
  const mostPerS = 0.16 / dtS;
  for (let face = 0; face < passes.length; face += 1) {
    const a = from[face]!;
    const b = to[face]!;
    const tempA = tempC[a]!;
    const tempB = tempC[b]!;
    let q = passes[face]! * (tempA - tempB);
    if (wet) {
      // water creeps to where it is drier, and goes as vapour to where it is colder: what dries the crust early
      const crumbA = crumbs[a]!;
      const crumbB = crumbs[b]!;
      const freely = creeps * loose(crumbA < crumbB ? crumbA : crumbB);
      let kgPerS =
        freely * warmer(tempA + tempB) * between[face]! * (crumbA - crumbB) +
        // by what is still wet: a thin cell dries faster than its figures are asked for
        q * (q > 0 ? asVapour[a]! * steams(crumbA) : asVapour[b]! * steams(crumbB));
      if (kgPerS > 0) {
        if (kgPerS > waterKg[a]! * mostPerS) kgPerS = waterKg[a]! * mostPerS;
      } else if (-kgPerS > waterKg[b]! * mostPerS) kgPerS = -waterKg[b]! * mostPerS;
      waterInto[a]! -= kgPerS;
      waterInto[b]! += kgPerS;
      q += kgPerS * WATER_J_PER_KG_K * (kgPerS > 0 ? tempA : tempB);
    }
    into[a]! -= q;
    into[b]! += q;
  }
  state.sideW.fill(0);
  const plainly = figures.brownPerS * dtS;
  for (let edge = 0; edge < grid.edge.length; edge += 1) {
    const cell = grid.edge[edge]!;
    const side = grid.side[edge]!;
    const meeting = meetings[side]!;
    const area = edgeArea[edge]!;
    const inner = inners[edge]!;
    const skin = skinC[edge]!;
    const browns = side === TOP ? plainly * figures.washBrowns : plainly;
    let h = meeting.hWPerM2K;
    let pull = h * meeting.tempC;
    if (meeting.emissivity > 0) {
      const wall = meeting.wallC + 273.15;
      const own = skin + 273.15;
      const radiates = STEFAN_BOLTZMANN * meeting.emissivity * (wall * wall + own * own) * (wall + own);
      h += radiates;
      pull += radiates * meeting.wallC;
    }
    // evaporates at the skin; and under the crust, from where it goes through its pores
    let kgPerM2S = 0;
    let underKgPerM2S = 0;
    const crumb = crumbs[cell]!;
    const inside = tempC[cell]!;
    let dry = crumb;
    if (wet && meeting.massPerPa > 0) {
      const saturated = vapourPressureFast(skin < 130 ? skin : 130);
      if (saturated < meeting.vapourPa) kgPerM2S = meeting.massPerPa * (saturated - meeting.vapourPa);
      else {
        const brings = (creeps * loose(crumb) * warmer(skin + tempC[cell]!)) / edgeWay[edge]!;
        const half = halfActivity + HALF_ACTIVITY_PER_K * (skin < 100 ? 100 - skin : 0);
        const breathes = figures.crustPasses / crustPathM(state.edgeMoist[edge]!, edgeWay[edge]!);
        const takes = meeting.massPerPa + breathes;
        const frontPa = (vapourPressureFast(inside < 130 ? inside : 130) * crumb) / (crumb + half);
        const outsidePa = (meeting.massPerPa * meeting.vapourPa + breathes * frontPa) / takes;
        dry = skinWater(crumb, brings, takes, saturated, outsidePa, half);
        kgPerM2S = brings * (crumb - dry);
        underKgPerM2S = breathes * (frontPa - (saturated * dry) / (dry + half));
      }
      const leaves = kgPerM2S + underKgPerM2S;
      // never more than there is; a dry skin takes nothing up
      const most = (mostPerS * waterKg[cell]!) / area;
      if (saturated >= meeting.vapourPa && leaves <= 0) {
        kgPerM2S = 0;
        underKgPerM2S = 0;
      } else if (leaves > most) {
        kgPerM2S *= most / leaves;
        underKgPerM2S *= most / leaves;
      }
    }
    const latent = kgPerM2S === 0 ? 0 : latentJPerKg(skin);
    const next = (pull + inner * inside - kgPerM2S * latent) / (h + inner);
    // evaporation was computed at the skin's last temperature: halfway keeps the two from chasing each other
    skinC[edge] = kgPerM2S === 0 ? next : 0.5 * (skin + next);
    state.skinWater[edge] = dry;
    const intoSkin = pull - h * next;
    state.sideW[side]! += intoSkin * area;
    state.takenJ += intoSkin * area * dtS;
    into[cell]! += inner * (next - inside) * area;
    if (kgPerM2S !== 0 || underKgPerM2S !== 0) {
      const kgPerS = (kgPerM2S + underKgPerM2S) * area;
      const under = underKgPerM2S === 0 ? 0 : underKgPerM2S * area * latentJPerKg(inside);
      const carried = kgPerS * WATER_J_PER_KG_K * inside + under;
      waterInto[cell]! -= kgPerS;
      into[cell]! -= carried;
      state.vapourKg += kgPerS * dtS;
      state.vapourJ += (kgPerM2S * area * latent + carried) * dtS;
    }
    // sealed by what it touches and hotter than its water boils: the skin itself holds no more than steam of the air's pressure leaves it
    if (wet && meeting.massPerPa === 0 && skin > state.boilsC) {
      const activity = figures.pressurePa / vapourPressureFast(skin);
      const left = halfActivity * Math.sqrt(activity / (1 - activity));
      if (left < dry) dry = left;
    }
    if (wet && skin > 90) {
      const over = dry / brownWet;
      const gain = (browns / (1 + over * over)) * Math.exp(-brownK * (1 / (skin + 273.15) - 1 / 433.15));
      // where it touches best it is dry first and nearly as hot as what it lies on: spots, which the mean colour has its share of
      if (meeting.touches && meeting.tempC > skin) {
        const hot = skin + (meeting.spots ?? 0) * (meeting.tempC - skin);
        const wish = browns * Math.exp(-brownK * (1 / (hot + 273.15) - 1 / 433.15));
        const spotted = wish / (1 + wish / (FASTEST_PER_S * dtS));
        state.spots[edge]! += spotted / (1 + state.spots[edge]! / DARKENS);
        state.brown[edge]! += ((1 - SPOTS) * gain + SPOTS * spotted) / (1 + state.brown[edge]! / DARKENS);
      } else {
        state.spots[edge]! += gain / (1 + state.spots[edge]! / DARKENS);
        state.brown[edge]! += gain / (1 + state.brown[edge]! / DARKENS);
      }
    }
  }
  for (let cell = 0; cell < n; cell += 1) heatJ[cell]! += into[cell]! * dtS;
  if (!wet) {
    for (let cell = 0; cell < n; cell += 1)
      tempC[cell] = heatJ[cell]! / (dryJPerK[cell]! + waterKg[cell]! * WATER_J_PER_KG_K);
    return;
  }
  for (let cell = 0; cell < n; cell += 1) waterKg[cell]! += waterInto[cell]! * dtS;
  boilOff(state, meetings);
  state.sinceSlowS += dtS;
  if (state.sinceSlowS >= 8) {
    gelatinise(state, state.sinceSlowS);
    grow(state);
    state.sinceSlowS = 0;
  }
}

/**
 * What is over a cell's boiling point boils some of its water away. Over a side that lies on something hot the steam has only the crumb
 * to leave by: it goes up (down, of a turned piece) from cell to cell, warms what is colder and becomes water there, and leaves where
 * the air is. Some of what arises at the touch itself leaves along it.
 */
function boilOff(state: BodyState, meetings: readonly Meeting[]): void {
  const { grid, figures, dryKg, dryJPerK, waterKg, heatJ, tempC, steam } = state;
  const { halfActivity, pressurePa, steamInward } = figures;
  const turned = meetings[0]!.seals === true;
  const lifts = turned || meetings[2]!.seals === true;
  const on = turned ? grid.below : grid.above;
  const from = turned ? grid.above : grid.below;
  const n = grid.cells;
  for (let each = 0; each < n; each += 1) {
    const cell = turned ? n - 1 - each : each;
    const arrives = steam[cell]!;
    if (arrives > 0) {
      steam[cell] = 0;
      waterKg[cell]! += arrives;
      heatJ[cell]! += arrives * STEAM_J_PER_KG;
    }
    const capacity = dryJPerK[cell]! + waterKg[cell]! * WATER_J_PER_KG_K;
    let t = heatJ[cell]! / capacity;
    if (t > state.boilsC) {
      const free = waterKg[cell]! - BOUND_WATER * dryKg[cell]!;
      if (free > 0) {
        const crumb = waterKg[cell]! / dryKg[cell]!;
        const point = boilingAtC(pressurePa * (1 + (halfActivity / crumb) ** 2));
        if (t > point) {
          const kg = Math.min(free, (capacity * (t - point)) / (STEAM_J_PER_KG - WATER_J_PER_KG_K * point));
          const carried = kg * STEAM_J_PER_KG;
          waterKg[cell]! -= kg;
          heatJ[cell]! -= carried;
          t = heatJ[cell]! / (dryJPerK[cell]! + waterKg[cell]! * WATER_J_PER_KG_K);
          const next = on[cell]!;
          const up = lifts && next >= 0 ? (from[cell]! < 0 ? kg * steamInward : kg) : 0;
          if (up > 0) steam[next]! += up;
          state.vapourKg += kg - up;
          state.vapourJ += (kg - up) * STEAM_J_PER_KG;
        }
      }
    }
    tempC[cell] = t;
  }
}

/** First-order between the blend's onset and on; every few seconds is often enough for cells that warm by a degree in that time. */
function gelatinise({ figures, tempC, gelatinised }: BodyState, overS: number): void {
  const between = figures.matter.gelatinisationC;
  if (!between) return void gelatinised.fill(1);
  const peakK = between.peak + 273.15;
  for (let cell = 0; cell < gelatinised.length; cell += 1) {
    const t = tempC[cell]!;
    const left = 1 - gelatinised[cell]!;
    if (t <= between.onset || left < 1e-6) continue;
    const perS = HEAT.gelatinise.perSAtPeak * Math.exp(GELATINISES_K * (1 / peakK - 1 / (t + 273.15)));
    gelatinised[cell] = 1 - left * Math.exp(-perS * overS);
  }
}

/** A crumb grows with its temperature until it is set, and never shrinks by this: its gas and vapour expand, cell by cell. */
function grow(state: BodyState): void {
  const { figures, tempC, grown, grid, startC } = state;
  if (figures.springs <= 1 || state.volumeShare >= 1) return;
  let sum = 0;
  let all = 0;
  const span = Math.max(10, HEAT.growsToC - startC);
  for (let cell = 0; cell < grown.length; cell += 1) {
    const share = (tempC[cell]! - startC) / span;
    if (share > grown[cell]!) grown[cell] = share < 1 ? share : 1;
    sum += grown[cell]! * grid.volume[cell]!;
    all += grid.volume[cell]!;
  }
  const first = 1 / figures.springs;
  const next = first + (1 - first) * (sum / all);
  // a half per cent is too little to lay the grid anew for
  if (next > state.volumeShare * 1.005 || (next > 0.999 && next > state.volumeShare))
    swellTo(state, Math.min(1, next));
}
