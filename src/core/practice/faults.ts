/** What can go wrong in a practice: an oven that is colder than it says, yeast that is half dead, a hand that pours too much, somebody called away. */
export const PRACTICE_FAULTS = ['coldOven', 'oldYeast', 'wrongWeight', 'late'] as const;
export type PracticeFault = (typeof PRACTICE_FAULTS)[number];

/** The one day that is practised: what is so, whatever the models expect. */
export interface PracticeDay {
  readonly seed: number;
  readonly faults: readonly PracticeFault[];
}

/** The oven is so much colder than its dial, °C; so much of the yeast is alive; so much more falls than is meant; so long is somebody away, s. */
export const FAULT = { coldC: 35, alive: 0.5, tooMuch: 0.25, awayS: 25 * 60 } as const;
