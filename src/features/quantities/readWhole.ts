import { refuse, type Result } from '@/core/result';
import { parseDecimal } from '@/core/units';

/** A whole number: pieces, sides, times. */
export const readWhole = (text: string): Result<number> => {
  const typed = parseDecimal(text);
  return typed.ok && !Number.isInteger(typed.value) ? refuse('notWhole') : typed;
};
