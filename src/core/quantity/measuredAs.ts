import type { Weighed } from './weigh';

/** How a line was measured by cup, spoon or egg: in those words, between its weights, g. Null for what was weighed. */
export function measuredAs(written: string, { lowG, highG, counts }: Weighed) {
  if (highG - lowG < 0.01) return null;
  return { said: written.trim().slice(0, 60), lowG, highG, ...(counts && { counts: [...counts] }) };
}
