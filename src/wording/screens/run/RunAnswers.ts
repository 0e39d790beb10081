/** What the screen says. */
export const words = {
  to: (from: string, to: string) => `${from} to ${to}`,
  theMostItCanRise: 'The most it can rise',
  itDoesNotSinkAgain: 'it does not sink again in this time',
  pastItAfter: (low: string) => `past it after ${low}`,
  crumbSet: 'Crumb set',
  fromLoadingAtInThe: (temperature: string, bakesS: string) =>
    `from loading, at ${temperature} in the middle; the method bakes ${bakesS}`,
  rawInTheMiddleAt: 'Raw in the middle at the end of this method. ',
  setAtItsEndIn: (round: number) => `Set at its end in ${round} of 10 kitchens like yours. `,
  rim: 'Rim',
  top: 'Top',
  baseItLosesOfIts: (
    part: string,
    brownTop: string,
    brownBase: string,
    lost: string,
    lostCooled: string,
    thick: string,
  ) =>
    `${part} ${brownTop}, base ${brownBase}. It loses ${lost} % of its weight in the heat, ${lostCooled} % by the time it is cut; the crust is about ${thick}.`,
  itTakesUpOil: (share: string) => ` It takes up ${share} % of its weight in oil, drained well.`,
  theLidMayComeOff: (low: string) => ` The lid may come off after ${low}: half of the crumb is set then.`,
  heatTheOvenBefore: (ovenS: string) => ` Heat the oven ${ovenS} before`,
  withWhatStandsInIt: (time: string) => `, ${time} with what stands in it`,
  itStaysSoft: (wrapped: string, bare: string, days: string, weeks: string) =>
    ` In the room it stays soft for ${wrapped} h wrapped, ${bare} h bare; toasted or warmed through it is good again for ${days} days. Frozen on the first day it waits ${weeks} weeks; a fridge firms it soonest.`,
  waitBetweenLoads: (recoverS: string) => `; wait ${recoverS} between loads`,
  readyIsSevenTenthsOf:
    'Ready is seven tenths of what this dough can hold: there is some left for the oven. The ranges are the middle 80 % of 24 calculations of the rise and 10 of the bake, each with other, equally likely figures for what nobody has measured.',
  whatMakesTheRiseMost: (what: string) => `What makes the rise most unsure: ${what}`,
  theBake: (what: string) => `; the bake: ${what}`,
  bakedItIsTimesThe: (bakedVolume: string) => `. Baked, it is ${bakedVolume} times the dough from the bowl.`,
} as const;
