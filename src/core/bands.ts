/** Names of the bands in which a hand feels a dough, from dry to wet. */
export const BANDS = ['crumbly', 'stiff', 'soft', 'sticky', 'thickBatter', 'pourable'] as const;
export type Band = (typeof BANDS)[number];
