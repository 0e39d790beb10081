import type { PlateKind, TinKind } from '../method/heating';

/**
 * Every figure of the heat model in one place, with its spread (`cv`: relative, one sd of the logarithm) and its source. Starting
 * points from food-engineering handbooks; an oven's own offset and transfer are fitted from readings (fitOven.ts).
 */
export const HEAT = {
  /** Conductivity of the dough's own matter against composition (parallel model runs high), and its spread over recipes. */
  conduction: { value: 0.85, cv: 0.15 },
  /** The part of the vapour path through bubbles that is open, against straight free pores (tortuosity), and its most, W/(m K). */
  vapourPath: { value: 0.4, cv: 0.35, mostWPerMK: 1.1 },
  /** A dry crust's conductivity, W/(m K): porous bread crust, Zanoni et al. 1995; Rask 1989 review gives 0.06-0.1. */
  crustWPerMK: 0.09,
  /**
   * Water moves in crumb by so much at 25 °C, m²/s, and so much more per °C (bread crumb 1e-10 to 2e-9 between 20 and 100 °C, Rask
   * 1989); below so much water per dry matter in proportion less, for what is left is bound: a crust stays dry over a moist crumb.
   */
  moisture: { m2PerS: 5e-10, perC: 0.05, freeAbove: 0.3 },
  /** Natural and fan convection in a domestic oven, W/(m² K); radiation comes on top with this emissivity. */
  convection: { static: 8, fan: 21, rack: 7, fryer: 400, boiling: 900, lid: 8, rackCv: 0.35 },
  /** Sauce and cheese on a disc, 3 kg/m²: heat content, J/(m² K), touch, W/(m² K), and where their own water holds them, °C. */
  topping: { heatJPerM2K: 10_000, contactWPerM2K: 90, mostC: 97 },
  emissivity: { oven: 0.85, lid: 0.9, rack: 0.9 },
  /** Touching heat, W/(m² K): dough on hot stone or steel, on a tray through paper, in a greased tin. */
  contact: { stone: 46, steel: 70, castIron: 130, griddle: 200, tray: 70, tin: 90, cv: 0.25 },
  /** Of that, what is left where the skin is dry: it shrinks, blisters and stands on its own steam (griddled batters 250 falling to 80-150). */
  dryContact: 0.6,
  /** A static oven's walls glow warmer than its air, its floor the most (elements in roof and floor), °C. Practice, thermocouples on trays. */
  wallsAbove: { around: 5, floor: 30 },
  /** Vapour pressure over the dough, share of the air's: dry oven, oven full of injected steam, under a lid, room. */
  vapour: { dry: 0.04, steam: 0.62, lid: 0.78, frying: 1, room: 0.012 },
  /** What a cooling rack's air holds is the room's. Lewis relation for mass transfer. */
  lewis: 0.87,
  /** Water activity falls by half where so much water is left per dry matter, kg/kg, at 100 °C, and more per °C below (rational form of starch sorption: 0.1 at 25 °C). */
  halfActivity: 0.035,
  halfActivityPerK: 0.00087,
  /** Latent heat of water, J/kg, at 100 °C and its slope, J/(kg K). */
  latent: { at100: 2_257_000, perK: -2400 },
  /**
   * Gelatinisation, first order: at a blend's peak temperature three quarters are done in a minute; apparent activation energy,
   * J/mol (starch in excess water 130-250 kJ/mol below, falling above the peak).
   */
  gelatinise: { perSAtPeak: 0.025, energyJPerMol: 160_000 },
  /**
   * Browning index: rate per minute at 160 °C for a dry skin of ordinary sugar, Arrhenius energy J/mol (Purlis 2010: bread crust
   * colour 60-110 kJ/mol), braked by water. The bands' names stand in colour.ts.
   */
  browning: { perMinAt160: 0.65, energyJPerMol: 68_000, cv: 0.3 },
  /** What a domestic oven's dial is off, not knowing better, °C; offset above the dial is positive. */
  ovenOffsetSdC: 9,
  /** Volume the piece has when it bakes against the risen dough, spread. */
  sizeCv: 0.09,
  startSdC: 2,
} as const;

/** The stuff under a piece. Thickness in m, volumetric heat J/(m³ K), conductivity W/(m K). */
export const PLATES: Readonly<
  Record<PlateKind, { thickM: number; heatJPerM3K: number; conductsWPerMK: number; emissivity: number }>
> = {
  stone: { thickM: 0.015, heatJPerM3K: 2.0e6, conductsWPerMK: 1.3, emissivity: 0.9 },
  steel: { thickM: 0.006, heatJPerM3K: 3.75e6, conductsWPerMK: 45, emissivity: 0.8 },
  castIron: { thickM: 0.006, heatJPerM3K: 3.4e6, conductsWPerMK: 50, emissivity: 0.9 },
  griddle: { thickM: 0.005, heatJPerM3K: 3.4e6, conductsWPerMK: 50, emissivity: 0.9 },
  tray: { thickM: 0.0009, heatJPerM3K: 3.3e6, conductsWPerMK: 50, emissivity: 0.8 },
};
export type Plate = PlateKind;

/** A tin's wall: thickness in m, how much radiation it takes. A shiny tin takes half of what a dark one does. */
export const TINS: Readonly<Record<TinKind, { thickM: number; emissivity: number }>> = {
  shiny: { thickM: 0.0006, emissivity: 0.35 },
  dark: { thickM: 0.0008, emissivity: 0.9 },
  thick: { thickM: 0.003, emissivity: 0.85 },
  glass: { thickM: 0.006, emissivity: 0.9 },
};
export const TIN_HEAT_J_PER_M3K = 3.6e6;

export const STEFAN_BOLTZMANN = 5.670374e-8;
