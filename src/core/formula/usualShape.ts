import type { Shape } from '../method/heating';
import type { Formula, Style } from './formula';

/** What a piece of each style is shaped into, where the baker says nothing else. Crackers bake as the sheet they are cut from. */
export const USUAL_SHAPE: Readonly<Record<Style, Shape>> = {
  tinLoaf: 'tin',
  hearthLoaf: 'hearth',
  baguette: 'baguette',
  rolls: 'roll',
  pizza: 'disc',
  flatbread: 'flatbread',
  boiledRing: 'ring',
  friedDough: 'ring',
  cheeseBuns: 'roll',
  crackers: 'flatbread',
};

/** What one piece is made into: the baker's word, else what the style usually is. Never guessed from the words of a method. */
export function bakedAsOf(formula: Pick<Formula, 'bakedAs' | 'style'>): NonNullable<Formula['bakedAs']> {
  if (formula.bakedAs) return formula.bakedAs;
  const shape = USUAL_SHAPE[formula.style];
  return { shape, lengthCm: null, widthCm: null, tin: shape === 'tin' ? 'dark' : null, perLoad: null };
}
