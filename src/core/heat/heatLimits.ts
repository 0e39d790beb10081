/** What a bake may be, and what a thermometer in an oven may say. */
export const PHASE_LIMITS = {
  /** Nobody griddles, fries or boils bread for hours; an oven may dry crackers for half a day. */
  durationS: {
    oven: { min: 0, max: 43_200 },
    coast: { min: 0, max: 43_200 },
    griddle: { min: 0, max: 7200 },
    fry: { min: 0, max: 7200 },
    boil: { min: 0, max: 7200 },
    rack: { min: 0, max: 86_400 },
  },
  setC: {
    oven: { min: 60, max: 550 },
    fry: { min: 120, max: 200 },
    griddle: { min: 100, max: 350 },
  },
  roomC: { min: -5, max: 45 },
  startC: { min: -2, max: 100 },
  altitudeM: { min: -430, max: 5500 },
  count: { min: 1, max: 60 },
  offsetC: { min: -80, max: 80 },
} as const;

export const READING_LIMITS = {
  dialC: PHASE_LIMITS.setC.oven,
  trueC: { min: 20, max: 600 },
  mostOffC: 80,
  count: 60,
} as const;
