import type { PlateKind, TinKind } from '../method/heating';

/**
 * The figures of the heat model that are not fitted to practice (those stand in core/calibrated), with their spread (`cv`: relative, one sd
 * of the logarithm, from oven to oven and piece to piece) and their source. An oven's own offset and transfer are fitted from readings (fitOven.ts).
 */
export const HEAT = {
  conductionCv: 0.2,
  vapourPathCv: 0.3,
  /**
   * Water moves faster in warm crumb, per °C; below so much water per dry matter in proportion less, for what is left is bound: a crust
   * stays dry over a moist crumb.
   */
  moisture: { perC: 0.05, freeAbove: 0.3 },
  /** Films of other places, W/(m² K): boiling water, under a lid, the side of a piece that floats out of the oil. */
  convection: { boiling: 900, lid: 8, overOil: 35, rackCv: 0.5 },
  /**
   * Sauce and cheese: heat content, J/(kg K), touch, W/(m² K), where their own water holds them, °C, what their skin lets through,
   * W/(m² K), how much of it is open to steam, and what there usually is.
   */
  topping: {
    heatJPerKgK: 3600,
    contactWPerM2K: 90,
    mostC: 97,
    coversWPerM2K: 140,
    open: 0.6,
    usualKgPerM2: 2.6,
  },
  /** What still air takes up over a flat against along other shapes. */
  stillOverFlat: 0.55,
  /** Of what a flank sees a neighbour hides so much, one width away. */
  neighbourHides: 0.25,
  emissivity: { lid: 0.9, rack: 0.9 },
  contactCv: 0.4,
  /** A static oven's walls glow warmer than its air, °C (elements in roof and floor; practice, thermocouples on trays). */
  wallsAbove: 5,
  /**
   * Vapour pressure over the dough, share of the air's: empty oven, oven full of injected steam, under a lid; and how long an oven's air
   * takes to be renewed, s.
   */
  vapour: { dry: 0.02, steam: 0.4, lid: 0.78, settlesS: 60 },
  /** What a cooling rack's air holds is the room's. Lewis relation for mass transfer. */
  lewis: 0.87,
  /** Half activity comes at more water where it is colder, per °C (rational form of starch sorption: 0.1 at 25 °C). */
  halfActivityPerK: 0.00087,
  /** Latent heat of water, J/kg, at 100 °C and its slope, J/(kg K). */
  latent: { at100: 2_257_000, perK: -2400 },
  /**
   * Gelatinisation, first order: at a blend's peak temperature three quarters are done in a minute; apparent activation energy,
   * J/mol (starch in excess water 130-250 kJ/mol below, falling above the peak).
   */
  gelatinise: { perSAtPeak: 0.025, energyJPerMol: 160_000 },
  /** Until a skin has dried its pores are closed, so deep, m. */
  closedSkinM: 0.0003,
  /** A cell counts as wet through down to so much of its first water; below, the rest of it is crust. */
  frontShare: 0.92,
  /** What a crust leaves of a touch: on a tray it curls up, from a tin's wall it draws back a little (share of the wet touch). */
  crustTouches: { tray: 0.25, tin: 0.6 },
  /** A tray's and a tin's effusivity through paper or grease, W s½/(m² K). */
  trayEffusivity: 1500,
  /** What baking paper resists, m² K/W: 0.06 mm of siliconised paper at 0.06-0.1 W/(m K), and its second touch. */
  paperResists: 0.001,
  /** A glowing element over the piece, seen as the mean of what is above it against the air, °C. */
  grillAboveC: 150,
  /** Of a touching side so much lies in spots (craft; told in the mean colour and apart). */
  spotShare: 0.3,
  /** What chars at once chars no faster, index per s, for its own smoke and ash stand between; what is brown darkens half as fast at this index. */
  browning: { fastestPerS: 0.9, darkens: 20 },
  /** A fried ball grows more upwards than across: of its growth so much, as a power. */
  roundRises: 0.6,
  /** Browning differs by so much from dough to dough. */
  browningCv: 0.3,
  /** A crumb grows in the oven until it is so hot, °C; and it firms below where its starch gels, °C. */
  growsToC: 75,
  firmsBelowC: 62,
  /** A crumb may be cut when so much of its first firming is done; what is eaten warm may be when its mean is below so many °C. */
  firm: 0.62,
  eatBelowC: 66,
  /** Tongues differ, °C. */
  eatBelowSdC: 9,
  /** Sooner than that nothing is eaten: steam settles, oil drains, s. */
  eatLeastS: 200,
  /** What a domestic oven's dial is off, not knowing better, °C; offset above the dial is positive. */
  ovenOffsetSdC: 9,
  /**
   * What the model leaves out, of its times and of the water lost (from how far a style is off that was not fitted to; Kennedy & O'Hagan 2001):
   * no figure, however well known, makes a bake more certain than that.
   */
  modelCv: { time: 0.13, lost: 0.12 },
  /** Volume the piece has when it bakes against the risen dough, spread. */
  sizeCv: 0.17,
  startSdC: 3,
} as const;

/** The stuff under a piece. Thickness in m, volumetric heat J/(m³ K), conductivity W/(m K). */
export const PLATES: Readonly<
  Record<PlateKind, { thickM: number; heatJPerM3K: number; conductsWPerMK: number; emissivity: number }>
> = {
  stone: { thickM: 0.015, heatJPerM3K: 2.0e6, conductsWPerMK: 1.3, emissivity: 0.9 },
  steel: { thickM: 0.006, heatJPerM3K: 3.75e6, conductsWPerMK: 45, emissivity: 0.8 },
  castIron: { thickM: 0.006, heatJPerM3K: 3.4e6, conductsWPerMK: 50, emissivity: 0.9 },
  griddle: { thickM: 0.008, heatJPerM3K: 3.4e6, conductsWPerMK: 50, emissivity: 0.9 },
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
