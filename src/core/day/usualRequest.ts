import type { BatchRequest } from '../batch';
import type { Formula } from '../formula/formula';

/** What a formula usually makes. */
export function usualRequest({ usualYield, ways }: Formula): BatchRequest {
  const { pieces, pieceMassG, bakeLossPercent, bowlLossPercent } = usualYield;
  if (!ways?.length) return { mode: 'pieces', pieces, pieceMassG, weighed: 'dough', bakeLossPercent, bowlLossPercent };
  return { mode: 'factor', factor: 1, pieceMassG, bowlLossPercent };
} // prettier-ignore
