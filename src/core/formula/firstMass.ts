import type { Ingredient } from '../ingredients/ingredient';
import { isFlourBase } from '../ingredients/ingredient';
import type { FormulaTotals } from './totals';

/**
 * The weight a newly added ingredient starts with: its usual dose on the flour that is there, so that the sheet stays
 * plausible until the baker types their own. Flours start at 100 g, water at four fifths of the flours.
 */
export function firstMassG(
  ingredient: Ingredient,
  totals: Pick<FormulaTotals, 'baseG' | 'hydrationPoured'>,
): number {
  if (isFlourBase(ingredient) || totals.baseG <= 0) return 100;
  const percent = ingredient.usualShare
    ? (ingredient.usualShare.from + ingredient.usualShare.to) / 2
    : ingredient.roles[0] === 'liquid' && (totals.hydrationPoured ?? 0) === 0
      ? 80
      : 10;
  const massG = (percent * totals.baseG) / 100;
  return Math.max(0.1, massG < 10 ? Math.round(massG * 10) / 10 : Math.round(massG));
}
