import type { Range } from '../numeric/range';
import type { BakeForecast } from './forecast';
import type { BakeQuestion } from './bake';

/**
 * Oil that a fried piece carries off: a film that is lifted out with its skin, g per cm², and what is drawn in where water has left, g per g
 * (reviews of frying: uptake goes with skin and with lost moisture, most of it while the piece cools). From kitchen to kitchen half as much again.
 */
const FILM_G_PER_CM2 = 0.03;
const DRAWN_IN = 0.4;
const TIMES = 1.5;

/**
 * Share of its weight as it went in that a piece takes up in oil, with its range. Rough: draining, the oil's age and the crust decide more than any model.
 * A ring of 60 g takes up some 5 g.
 * @returns null where nothing is fried
 */
export function oilTaken(
  { phases, piece }: Pick<BakeQuestion, 'phases' | 'piece'>,
  { simulation, lost }: Pick<BakeForecast, 'simulation' | 'lost'>,
): Range | null {
  if (!phases.some(({ kind }) => kind === 'fry')) return null;
  const { heightM, acrossM, lengthM } = simulation.body;
  // a tube's skin, a flattened ball's or a sphere's: as a box of those sizes has it, less its corners
  const skinCm2 =
    piece.shape === 'ring'
      ? Math.PI * heightM * lengthM * 1e4
      : (Math.PI / 2) * (acrossM * acrossM + 2 * heightM * acrossM) * 1e4;
  const share = (FILM_G_PER_CM2 * skinCm2) / piece.massG + DRAWN_IN * lost.value;
  return { value: share, low: share / TIMES, high: share * TIMES };
}
