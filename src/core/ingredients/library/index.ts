import type { Ingredient } from '../ingredient';
import { binders, seeds } from './bindersAndSeeds';
import { grainFlours, pseudoCereals, pulses, starches, tubersAndNuts } from './flours';
import { cultures, eggsAndDairy, fats, leavens, liquids, seasonings, sweets } from './wetAndFat';

/** Every ingredient the product knows by itself, in the order in which a baker's shelf is walked along. */
export const ingredientLibrary: readonly Ingredient[] = [
  ...grainFlours,
  ...pseudoCereals,
  ...pulses,
  ...tubersAndNuts,
  ...starches,
  ...binders,
  ...seeds,
  ...liquids,
  ...eggsAndDairy,
  ...fats,
  ...sweets,
  ...leavens,
  ...seasonings,
  ...cultures,
];
