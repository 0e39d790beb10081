/**
 * Every figure of the fermentation model in one place, with its spread and where it comes from. `cv` is relative: one standard
 * deviation of the logarithm. Starting points from baking and brewing science; the logbook will move `vigour` and `holding`.
 */
export const FERMENTATION = {
  /** Gas of one gram of fresh baker's yeast in a plain dough at 28.5 °C, ml of CO2 per minute at 1 atm. Rheofermentometer practice. */
  gasMlPerMinPerFreshG: { value: 1.2, cv: 0.2 },
  referenceC: 28.5,
  /** Cardinal temperatures of gassing (Rosso et al. 1993 gives the form; baker's yeast studies the figures). */
  cardinalC: { min: 1, best: 36, max: 46 },
  /** Killing: minutes for a tenfold loss at 55 °C, and degrees for a tenfold change (thermal death of S. cerevisiae, pH 5-6). */
  kill: { at55Min: 4, zC: 5.5 },
  /** Sugar on the flour base is food up to `free` %, then an osmotic brake of so much per further percent. Salt likewise. */
  sugarBrake: { freePercent: 7, perPercent: 0.055 },
  saltBrake: { freePercent: 2, perPercent: 0.3 },
  /**
   * Added water, % of the flour base, below which nothing ferments (water activity about 0.90, the least baker's yeast bears) and from
   * which water no longer brakes (0.97); flours bring 12 % of their own. Between them in proportion.
   */
  moist: { nonePercent: 16, fullPercent: 35 },
  /** Half speed when so little fermentable sugar is left, % of the flour base. */
  halfSpeedSugarPercent: 0.25,
  /** Hexose burnt per mmol of CO2, g: 180.16 mg per 2 mmol, 95 % of it to alcohol and gas (Pasteur). */
  sugarGPerMmol: 0.18016 / 2 / 0.95,
  /** Sugar that the flours' own enzymes free from damaged starch, % of the base, and its time constant. Gluten-free flours: little. */
  freedSugar: { percentOfBase: 1.2, cv: 0.5, tauMin: 150 },
  /** Time until a leaven works at its full pace at the reference temperature, min. */
  wakingMin: {
    'instant-yeast': 10,
    'active-dry-yeast': 16,
    bloomed: 4,
    'fresh-yeast': 5,
    starter: 12,
    cv: 0.35,
  },
  /** Growth in dough at the best temperature, 1/h, and where each ends, g fresh yeast's worth per 100 g of base. */
  growth: { yeastPerH: 0.2, wildPerH: 0.75, yeastEndPer100G: 7, wildEndPer100G: 2.8 },
  /** A ripe wild starter's gassing, g of fresh yeast's worth per 100 g of starter; acid brakes a wild dough from the start. */
  ripeStarter: { freshPer100G: 1.2, cv: 0.45, acidBrake: 0.8 },
  /** CO2 in water at 25 °C and 1 atm of CO2, mmol/g, and the slope of its logarithm with 1/T, K (Sander 2015). */
  henry: { mmolPerGAt25: 0.0339, slopeK: 2400 },
  /** Bubbles give gas back to dough that has cooled, time constant, min. */
  redissolveMin: 40,
  /**
   * The most a dough of each band holds, gas volume over dough volume, well bound. Peaks where it is soft to sticky: stiffer
   * tears, thinner lets go. Practice of yeasted gluten-free doughs, of which many never double.
   */
  mostHeld: { crumbly: 0.08, stiff: 0.36, soft: 0.85, sticky: 1.0, thickBatter: 0.85, pourable: 0.35 },
  mostHeldCv: 0.2,
  /** What marks of other days cannot make surer: flour, hand and yeast of the day, one sd. Practice. */
  dayCv: { vigour: 0.08, holding: 0.06 },
  /** A mark on a jar is read to so much of the height, one sd. */
  markReading: 0.04,
  /** Without any binder a dough holds so much of that; with all the bind there can be, all of it. */
  unboundHolds: 0.45,
  /** Of the gas that comes out of solution so much is caught while there is room. */
  caught: 0.88,
  /** Held gas that seeps away at 25 °C, share per hour, and its rise per °C. */
  leakPerH: { value: 0.1, cv: 0.4, perC: 0.03 },
  /** Kept at its fullest a dough tires: after so many minutes it holds a fifth less, in the end two fifths. */
  tiringMin: { value: 70, cv: 0.3 },
  /** What a room, a thermometer and a shelf leave uncertain, °C. */
  placeSdC: 0.8,
  thermalLagCv: 0.2,
  /** Chemical leavening: CO2 per gram, mmol, and the part that works without heat (double-acting powders). */
  bakingPowder: { mmolPerG: 2.6, cold: 0.35 },
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
