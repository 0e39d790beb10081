import type { Formula } from '../formula/formula';
import type { Kit, KitOven } from './kit';

/** What of a formula says which oven it is baked in. */
export type Baked = Pick<Formula, 'bakedAs'> & Partial<Pick<Formula, 'steps'>>;

/** The oven a formula is baked in: that of its first baking where a step says one, else its own, where the kit has it; else the kit's usual one. */
export function ovenFor(kit: Kit, { bakedAs, steps = [] }: Baked): KitOven | undefined {
  const named = steps.find(({ kind, heat }) => kind === 'bake' && heat?.ovenId)?.heat?.ovenId;
  const by = (id: string | undefined) => kit.ovens.find((each) => each.id === id);
  return by(named) ?? by(bakedAs?.ovenId) ?? by(kit.ovenId) ?? kit.ovens[0];
}
