export const PHOTO_LIMITS = {
  /** As it comes in, bytes. */
  bytes: 20_000_000,
  perBake: 40,
  /** Of either side of a picture as it is saved; a larger one is made smaller, never cropped. */
  sidePx: { min: 40, max: 2400 },
  /** Of what comes in: beyond it, it is no photograph that anybody takes. */
  pixels: 80_000_000,
  marks: 200,
  outlinePoints: 160,
} as const;

/** What a picture shows. */
export const PHOTO_OF = ['cut', 'whole', 'nextDay'] as const;
export type PhotoOf = (typeof PHOTO_OF)[number];

/** The reader of crumbs, numbered: raised with every change of what it says. */
export const CRUMB_READER = 2;
