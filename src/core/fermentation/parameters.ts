/**
 * The figures of the fermentation model that are not fitted to practice (those stand in core/calibrated), each with where it comes from.
 * `cv` is relative: one standard deviation of the logarithm, from dough to dough and day to day. The logbook moves `vigour` and `holding`.
 */
export const FERMENTATION = {
  /** Gassing of yeast of one kind, day and jar against another. */
  vigourCv: 0.25,
  /** From dough to dough: the brake of salt and sugar, the power of the dose, the coldest that gasses (°C), growth, and what hands, ice and a dry skin do. */
  brakeCv: 0.3,
  doseSd: 0.06,
  coldestSdC: 1.2,
  growthCv: 0.3,
  wearCv: 0.4,
  /** One kind of yeast against another, gram for gram of fresh yeast's worth. */
  kindCv: 0.08,
  referenceC: 28.5,
  /** Warmest, °C (Rosso et al. 1993 gives the form; baker's yeast studies the figure). */
  warmestC: 46,
  /** Killing: minutes for a tenfold loss at 55 °C, and degrees for a tenfold change (thermal death of S. cerevisiae, pH 5-6). */
  kill: { at55Min: 4, zC: 5.5 },
  /**
   * Added water, % of the flour base, below which nothing ferments (water activity about 0.90, the least baker's yeast bears) and from
   * which water no longer brakes (0.97); flours bring 12 % of their own. Between them in proportion.
   */
  moist: { nonePercent: 16, fullPercent: 35 },
  /** Hexose burnt per mmol of CO2, g: 180.16 mg per 2 mmol, 95 % of it to alcohol and gas (Pasteur). */
  sugarGPerMmol: 0.18016 / 2 / 0.95,
  /** Time constant with which the flours' enzymes free sugar, min, and how much it differs from mill to mill. */
  freedSugar: { tauMin: 150, cv: 0.4 },
  /** Time until a leaven works at its full pace at the reference temperature, min. */
  wakingMin: {
    'instant-yeast': 10,
    'active-dry-yeast': 16,
    bloomed: 4,
    'fresh-yeast': 5,
    starter: 12,
    cv: 0.4,
  },
  /** Where the growth of baker's yeast ends, g of fresh yeast per 100 g of flours. */
  yeastEndPer100G: 7,
  /** A wild culture's spread from jar to jar; acid brakes a wild dough from the start. */
  wild: { cv: 0.4, acidBrake: 0.8 },
  /** CO2 in water at 25 °C and 1 atm of CO2, mmol/g, and the slope of its logarithm with 1/T, K (Sander 2015). */
  henry: { mmolPerGAt25: 0.0339, slopeK: 2400 },
  /** The dose at which a binder does half of what it can, % of the flours; egg likewise. */
  halfAt: { psyllium: 2.1, cellulose: 1, gum: 0.55, seed: 3.5, egg: 10 },
  /** What a dough holds differs by so much from the model's figure, before anybody marked a jar. */
  mostHeldCv: 0.25,
  /** What marks of other days cannot make surer: flour, hand and yeast of the day, one sd. Practice. */
  dayCv: { vigour: 0.08, holding: 0.06 },
  /** A mark on a jar is read to so much of the height, one sd. */
  markReading: 0.04,
  leak: { cv: 0.4, perC: 0.03 },
  tiringCv: 0.3,
  /** What a dough that was knocked back cannot hold any more, against what it cannot catch. */
  wornHolds: 0.5,
  /** Air that mixing leaves in a dough, share of its volume; its bubbles are where all gas goes. */
  mixedInAir: { value: 0.1, sd: 0.03 },
  /** Gas at the setting of the crumb is held by less in one dough and by more in the next. */
  springCv: 0.18,
  /** What a room, a thermometer and a shelf leave uncertain, °C. */
  placeSdC: 1,
  thermalLagCv: 0.2,
  /** Chemical leavening: CO2 per gram, mmol. */
  bakingPowderMmolPerG: 2.6,
  bakingSodaMmolPerG: 11.9,
  /** Of gas freed during mixing, so much is worked out of the dough again. */
  lostInMixing: 0.5,
  /** Knocking back, dividing and shaping press out so much of the held gas. */
  pressedOut: { fold: 0.15, divide: 0.35, shape: 0.45 },
  pressedOutCv: 0.35,
} as const;

/** Acid that meets soda, mmol of H+ per gram as sold (label acidities: 5 % acetic, 5.5 % citric, about 1 % lactic). */
export const ACID_MMOL_PER_G: Readonly<Record<string, number>> = {
  'cider-vinegar': 0.83,
  'white-vinegar': 0.85,
  'lemon-juice': 0.86,
  'cream-of-tartar': 5.3,
  'plain-yoghurt': 0.11,
  buttermilk: 0.09,
  honey: 0.03,
  'black-treacle': 0.08,
  'sorghum-starter': 0.12,
  'rice-starter': 0.12,
  'buckwheat-starter': 0.12,
};

/** J/(mol K) and Pa. */
export const GAS_CONSTANT = 8.314462;
export const SEA_LEVEL_PA = 101_325;
