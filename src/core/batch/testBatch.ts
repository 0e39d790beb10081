import type { Formula } from '../formula';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import type { BatchRequest } from './batchRequest';
import type { BatchSheet } from './batchSheet';
import { planBatch } from './planBatch';
import { ordinaryScales, type ScaleRanges } from './scale';

/** Made-up batches for tests: eight rolls, and the plain loaf as a sheet. */
export const eightRolls: BatchRequest = {
  mode: 'pieces', pieces: 8, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0,
}; // prettier-ignore

export function loafSheet(
  pieceMassG = 980,
  scales: ScaleRanges = ordinaryScales,
  factor = 1,
  formula: Formula = plainLoaf(),
): BatchSheet {
  const planned = planBatch(
    formula,
    { mode: 'factor', factor, pieceMassG, bowlLossPercent: 0 },
    scales,
    libraryBook,
  );
  if (!planned.ok) throw new Error(planned.problem.code);
  return planned.value;
}
