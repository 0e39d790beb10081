import type { Ingredient } from '../ingredient';
import { binders, seeds } from './bindersAndSeeds';
import { boughtBlends } from './boughtBlends';
import { grainFlours, pseudoCereals, pulses } from './flours';
import { cultures, inclusions, seasonings } from './seasoningAndCulture';
import { starches, tubersAndNuts } from './tubersAndStarches';
import { eggsAndDairy, liquids } from './liquidsEggsDairy';
import { fats, leavens, sweets } from './fatsSweetsLeavens';
import { cheeses, onAndWith } from './onAndWith';

/** Every ingredient the product knows by itself, in the order in which a baker's shelf is walked along. */
export const ingredientLibrary: readonly Ingredient[] = [
  ...grainFlours,
  ...boughtBlends,
  ...pseudoCereals,
  ...pulses,
  ...tubersAndNuts,
  ...starches,
  ...binders,
  ...seeds,
  ...liquids,
  ...eggsAndDairy,
  ...cheeses,
  ...fats,
  ...sweets,
  ...leavens,
  ...seasonings,
  ...inclusions,
  ...onAndWith,
  ...cultures,
];
