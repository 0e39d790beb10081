/** One figure that practice gives: between what and what, and how the models come to theirs. */
export interface Answer {
  /** Unique within its row: "growth", "baked". */
  readonly name: string;
  /**
   * feel: saturation as the hand reads it; volume: multiple of the dough from the mixer; perG: ml per g baked; time: s; ratio: of two
   * times; share: 0 ... 1; tempC; colour: browning index; degreesC: a difference of temperatures.
   */
  readonly kind: 'feel' | 'volume' | 'perG' | 'time' | 'ratio' | 'share' | 'tempC' | 'degreesC' | 'colour';
  readonly low: number;
  readonly high: number;
  /** What the model says: the middle for null, else by its n-th draw. Null: never, or it cannot say. */
  readonly of: (draw: number | null) => number | null;
}

export interface Row {
  readonly id: string;
  /** In words, short. */
  readonly dough: string;
  /** Rows of one style leave together when the fit is checked against what it has not seen. */
  readonly style: string;
  readonly group: 'consistency' | 'fermentation' | 'heat';
  readonly sure: 'A' | 'B' | 'C';
  readonly answers: readonly Answer[];
}

/** Edges of the bands of feel, and where the scale ends for this purpose. */
export const FEEL = {
  crumbly: [0.55, 0.7],
  stiff: [0.7, 0.82],
  soft: [0.82, 0.95],
  sticky: [0.95, 1.08],
  thickBatter: [1.08, 1.3],
  pourable: [1.3, 1.7],
} as const;
/** The browning index of each colour. */
export const BROWN = {
  pale: [0, 0.5],
  straw: [0.5, 1.5],
  golden: [1.5, 5],
  deepGolden: [5, 12],
  brown: [12, 32],
  dark: [32, 90],
} as const;
