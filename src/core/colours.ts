/** How a crust looks, from raw to burnt. */
export const COLOURS = ['pale', 'straw', 'golden', 'deepGolden', 'brown', 'dark', 'burnt'] as const;
export type Colour = (typeof COLOURS)[number];
