import type { Shape } from '../method/heating';
import type { Style } from './formula';

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
