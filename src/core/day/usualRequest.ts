import type { BatchRequest } from '../batch';
import type { Formula } from '../formula/formula';

/** So many pieces of what was put by. */
export const outOf = ({ ways }: Formula, wayId: string, pieces: number): BatchRequest => ({
  mode: 'ways',
  ways: [{ wayId, pieces }],
  pieceMassG: ways?.find(({ id }) => id === wayId)?.amount.pieceMassG ?? 100,
  bowlLossPercent: 0,
});

/** What a formula usually makes. */
export function usualRequest({ usualYield, ways }: Formula): BatchRequest {
  const { pieces, pieceMassG, bakeLossPercent, bowlLossPercent } = usualYield;
  if (!ways?.length) return { mode: 'pieces', pieces, pieceMassG, weighed: 'dough', bakeLossPercent, bowlLossPercent };
  return { mode: 'factor', factor: 1, pieceMassG, bowlLossPercent };
} // prettier-ignore
