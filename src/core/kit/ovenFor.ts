import type { Formula } from '../formula/formula';
import type { Kit, KitOven } from './kit';

/** The oven a formula is baked in: its own where the kit has that, else the kit's usual one. */
export const ovenFor = (kit: Kit, formula: Pick<Formula, 'bakedAs'>): KitOven | undefined =>
  kit.ovens.find((each) => each.id === formula.bakedAs?.ovenId) ??
  kit.ovens.find((each) => each.id === kit.ovenId) ??
  kit.ovens[0];
