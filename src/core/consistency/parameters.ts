import type { Band } from '../bands';
import { FIGURE_SPREADS } from '../ingredients/spreads';

/**
 * The figures of the water balance and the consistency model that are not fitted to practice (those stand in core/calibrated), with
 * their spread (sd): from cereal-science texts and kitchen trials. The logbook moves the absorption figures.
 */
export const CONSISTENCY = {
  /** Gelatinised starch holds so much more water than native starch, g per g of starch (swelling power of 60-90 °C pastes, limited by what the part holds). */
  scaldedStarchHolds: { value: 1.6, sd: 0.5 },
  /** Minutes from the first wetting to the start of mixing proper. */
  wettingMin: 1,
  /** Time constant with which a powder wets while it is stirred, min: a flour is wet through in a minute or two. */
  wetsMin: 0.5,
  /** How unsure the share is that wets at once, sd; the rest swells slowly. */
  fastSd: 0.06,
  /** What is common to all powders of a day: humidity, mill, the hand that feels; relative sd of the whole demand. */
  commonSd: 0.1,
  /** Time constants differ so much between lots, relative sd. */
  tauSd: FIGURE_SPREADS.tauCv,
  /** One bag of a flour against another, relative sd: mills and harvests. */
  lotCv: 0.05,
  /** Softness of a band's edge on the scale of saturation, sd: two bakers draw it in different places. */
  edgeSd: 0.02,
  /** Minutes taken where the method says nothing. */
  usualMixMin: 8,
  usualRestMin: 60,
  /** How long a part has stood before it meets the dough, min. */
  headStartMin: {
    starter: 600,
    preDough: 240,
    soaker: 120,
    scald: 240,
    gel: 25,
    bloom: 10,
    main: 0,
    late: 0,
  },
} as const;

export { BANDS, type Band } from '../bands';
/** The saturation at which each band ends. */
export const BAND_ENDS: Readonly<Record<Band, number>> = {
  crumbly: 0.7,
  stiff: 0.82,
  soft: 0.95,
  sticky: 1.08,
  thickBatter: 1.3,
  pourable: Infinity,
};
/** Where one aims inside a band. */
export const BAND_AIMS: Readonly<Record<Band, number>> = {
  crumbly: 0.64,
  stiff: 0.76,
  soft: 0.885,
  sticky: 1.015,
  thickBatter: 1.18,
  pourable: 1.45,
};

/**
 * What a binder does beyond drinking: `carries` lets the dough stand at more water (psyllium, HPMC) and shifts the bands by at
 * most so much saturation, half of it at `halfAtPercent`; `holds` makes it cohere, `clings` makes it stick to hands and teeth,
 * both per percent of the flour base.
 */
export const BINDING: Readonly<
  Record<
    string,
    {
      readonly carries: number;
      readonly halfAtPercent: number;
      readonly holds: number;
      readonly clings: number;
    }
  >
> = {
  'psyllium-husk': { carries: 0.06, halfAtPercent: 3, holds: 0.3, clings: 0.02 },
  'psyllium-powder': { carries: 0.06, halfAtPercent: 3, holds: 0.3, clings: 0.02 },
  hpmc: { carries: 0.05, halfAtPercent: 1.6, holds: 0.35, clings: 0.05 },
  methylcellulose: { carries: 0.03, halfAtPercent: 1.6, holds: 0.2, clings: 0.05 },
  cmc: { carries: 0.02, halfAtPercent: 1, holds: 0.2, clings: 0.35 },
  xanthan: { carries: 0.03, halfAtPercent: 1, holds: 0.25, clings: 0.5 },
  guar: { carries: 0.025, halfAtPercent: 1.2, holds: 0.15, clings: 0.35 },
  'locust-bean-gum': { carries: 0.02, halfAtPercent: 0.8, holds: 0.15, clings: 0.3 },
  konjac: { carries: 0.03, halfAtPercent: 0.6, holds: 0.5, clings: 0.4 },
  'ground-linseed': { carries: 0.02, halfAtPercent: 6, holds: 0.06, clings: 0.03 },
  chia: { carries: 0.025, halfAtPercent: 4, holds: 0.1, clings: 0.03 },
  gelatine: { carries: 0.01, halfAtPercent: 1, holds: 0.25, clings: 0.1 },
  'pregelatinised-starch': { carries: 0.02, halfAtPercent: 3, holds: 0.12, clings: 0.1 },
};
/** A binder nobody has measured (one of the baker's own): a little of everything, so that it is at least not taken for none. */
export const UNKNOWN_BINDING = { carries: 0.02, halfAtPercent: 2, holds: 0.15, clings: 0.1 } as const;
/** Egg holds a batter together while it bakes and a little before; per percent of whole egg on the base. */
export const EGG_HOLDS = 0.012;
/** Without any binder a mass of this saturation is felt as so much wetter: nothing carries its water. */
export const BARE_SHIFT = -0.03;

/** How a powder takes water: what scales its absorption, and how much of it wets at once. */
export type AbsorbsAs = 'fine' | 'starch' | 'whole' | 'pulse' | 'psyllium' | 'cellulose' | 'gum' | 'seed';
/** Binders by how they absorb; others as gums. */
export const BINDERS_ABSORB_AS: Readonly<Record<string, 'psyllium' | 'cellulose' | 'seed'>> = {
  'psyllium-husk': 'psyllium',
  'psyllium-powder': 'psyllium',
  hpmc: 'cellulose',
  methylcellulose: 'cellulose',
  'ground-linseed': 'seed',
  chia: 'seed',
};
/** From so much fibre on, g in 100 g, a flour goes on swelling as a whole grain does. */
export const WHOLE_FROM_FIBRE = 3;
