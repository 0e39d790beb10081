import type { BakeRecord } from '@/core/bake';
import { formatDecimal } from '@/core/units';

/** Where as much as a bake made is scaled again. */
export const batchAgain = ({ formulaId, sheet }: BakeRecord): string =>
  `/formulas/${formulaId}/batch?pieces=${Math.max(1, sheet.pieces.count)}&each=${formatDecimal(sheet.pieces.doughG, 2)}`;
