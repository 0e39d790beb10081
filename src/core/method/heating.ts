/** What a bake step says beyond its time and temperature. Names shared by the method, the heat model and the words for them. */
export const MOISTURES = ['dry', 'steam', 'lid'] as const;
export type Moisture = (typeof MOISTURES)[number];

export const PLATE_KINDS = ['tray', 'stone', 'steel', 'castIron', 'griddle'] as const;
export type PlateKind = (typeof PLATE_KINDS)[number];

export const TIN_KINDS = ['shiny', 'dark', 'thick', 'glass'] as const;
export type TinKind = (typeof TIN_KINDS)[number];

/** Shapes that are baked, fried or boiled. */
export const SHAPES = [
  'tin',
  'hearth',
  'baguette',
  'roll',
  'touchingRolls',
  'disc',
  'flatbread',
  'ring',
  'ball',
  'round',
] as const;
export type Shape = (typeof SHAPES)[number];
