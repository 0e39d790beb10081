/** What the screen says. */
export const words = {
  howItFeels: 'How it feels.',
  mayBe: (join: string) => `may be ${join}`,
  afterOfRest: (rest: string, toLowerCase: string, like: string) =>
    `After ${rest} of rest: ${toLowerCase}, ${like}`,
  atTheEndOfMixing: 'At the end of mixing: ',
  saturationFourTimesInFive: (
    part: string,
    low: string,
    high: string,
    waterG: string,
    softeningG: string,
    demandG: string,
  ) =>
    `Saturation ${part} (${low}–${high}, four times in five): ${waterG} of free water and ${softeningG} worth of oil and sugar, on the ${demandG} that the powders absorb in the end where they compete for it.`,
  theBinderHoldsTheMass: (cohesion: number, cling: number, shift: string) =>
    `The binder holds the mass together ${cohesion} of 100 and clings ${cling} of 100; it moves the edges by ${shift}.`,
  mixedThenUntilItIs: (formatDuration: string, rest: string) =>
    `Mixed ${formatDuration}, then ${rest} until it is shaped or goes into its tin, as the method has it. No bake of yours stands behind it yet: typical figures of the ingredients do.`,
  whatKindOfDough: 'What kind of dough',
} as const;
