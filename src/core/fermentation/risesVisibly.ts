import type { RiseCurve } from './riseCurve';

/** Does it rise so far that an eye sees it? The one place that says so. */
export const risesVisibly = ({ canHold, top }: Pick<RiseCurve, 'canHold' | 'top'>): boolean =>
  canHold.value > 1.05 && top.high > 1.03;
