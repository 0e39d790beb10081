import { FIGURES, type Figures } from '../calibrated';
import { ok, type Result } from '../result';
import { within } from '../units/decimal';
import type { Leavening } from './leavening';

const FROZEN_WEEKS = { min: 0, max: 52 } as const;

/**
 * A dough that was frozen before it rose and has thawed: part of its yeast is dead, and ice has cut what holds its gas. Practice of
 * home freezers at -18 °C; quicker freezing hurts less.
 * @param weeks 0 to 52
 * @returns `tooSmall` / `tooLarge` at weeks
 */
export function afterFreezing(
  leavening: Leavening,
  weeks: number,
  figures: Figures = FIGURES,
): Result<Leavening> {
  const checked = within(weeks, FROZEN_WEEKS, 'weeks');
  if (!checked.ok) return checked;
  const alive = (1 + weeks) ** -figures['frozen.dies'];
  return ok({
    ...leavening,
    yeastG: leavening.yeastG * alive,
    wildG: leavening.wildG * alive,
    mostHeld: leavening.mostHeld * (1 + weeks) ** -figures['frozen.weakens'],
  });
}
