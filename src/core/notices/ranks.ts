import type { Notice } from './notice';

/**
 * What matters more: 0 (worth knowing) to 100 (this will not be bread). From the craft, not from a measurement; some rise with how far
 * a figure is off, each within its own span, so that the worst of them comes first among its like.
 */
export const RANK: Readonly<Record<Notice['code'], number>> = {
  noWater: 95,
  bandForStyle: 85,
  noBinder: 80,
  lookAlike: 75,
  noLeaven: 70,
  psylliumThirsty: 60,
  overMost: 58,
  twoBinders: 55,
  sodaWithoutAcid: 52,
  noSalt: 50,
  yeastHigh: 48,
  saltBrakes: 46,
  sugarBrakes: 45,
  binderInside: 44,
  overUsual: 35,
  mostlyStarch: 34,
  underUsual: 32,
  thickens: 30,
  manyFlours: 10,
};

/** How much a notice may rise above its rank, and what lifts it. */
export const RISES = {
  /** A band more between now and rested. */
  thickensPerBand: 8,
  /** A percent of gum more than psyllium leaves room for. */
  twoBindersPerPercent: 8,
  twoBindersMost: 25,
  /** Twice the most. */
  overMostPerTimes: 10,
  overMostMost: 20,
} as const;
