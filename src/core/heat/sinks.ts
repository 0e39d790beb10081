/** Where a starch crumb sets in a dough's little water, °C, and how sharply; of a crumb that only a hot gel held so much is lost. */
const SETS = { atC: 85.5, widthC: 2.2, mostSinks: 0.3 } as const;

/**
 * By how much of its height a crumb sinks on cooling that was pulled with its middle so hot: cellulose gels hold while they are hot and melt
 * again below about 50 °C, and a starch that has not set by then does not hold instead.
 * @param hotGel the part of the dough's holding that melts again: 1 for HPMC alone, 0 without
 * @returns share of the height
 */
export const sinksBy = (coreC: number, hotGel: number): number =>
  (SETS.mostSinks * hotGel) / (1 + Math.exp((coreC - SETS.atC) / SETS.widthC));
