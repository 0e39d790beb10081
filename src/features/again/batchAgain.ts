import type { BakeRecord } from '@/core/bake';
import { formatDecimal } from '@/core/units';

/** Where as much as a bake made is scaled again; of a ladder, where the next is laid out. */
export const batchAgain = ({ formulaId, sheet }: BakeRecord): string =>
  sheet.ladder
    ? `/formulas/${formulaId}/ladder`
    : `/formulas/${formulaId}/batch?pieces=${Math.max(1, sheet.pieces.count)}&each=${formatDecimal(sheet.pieces.doughG, 2)}`;
