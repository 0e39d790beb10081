/** What the screen says. */
export const words = {
  doughWantedAt: 'Dough wanted at',
  kitchenAndFlour: 'Kitchen and flour',
  coldestWater: 'Coldest water',
  heightAboveTheSea: 'Height above the sea',
  howItIsMixed: 'How it is mixed',
  byHand: 'by hand',
  machine: 'machine',
  whereEggsDairyAndStarter: 'Where eggs, dairy and starter come from',
  eggsFromTheFridge: 'eggs from the fridge',
  atRoom: 'at room',
  yeastIsHurtFromAbout: (hurtFrom: string) =>
    `Yeast is hurt from about ${hurtFrom}: stir it into the flour, not into this water.`,
  fromAboutYeastDiesWarm: (deadFrom: string) =>
    `From about ${deadFrom} yeast dies. Warm the flour or the bowl instead.`,
  colderThanYourTapGive: 'Colder than your tap: give part of it as ice.',
  evenHalfOfItAs: 'Even half of it as ice is not cold enough: chill the flour too.',
  colderThanAFridgeGets: 'Colder than a fridge gets it: chill the flour and the bowl too.',
  hotterThanWaterCanBe: 'Hotter than water can be poured here: warm the flour or the bowl.',
  nothingIsPouredInThis: 'Nothing is poured in this formula: no water, no milk, no juice.',
  forOf: (lowC: string, highC: string, waterG: string, poured: string) =>
    `${lowC} – ${highC} for ${waterG} of ${poured}`,
  ofItIce: (iceG: string) => `, ${iceG} of it ice`,
  mineIs: 'Mine is',
  thenTheDoughComesTo: 'then the dough comes to ',
  aHeatBalanceEverythingAt: (boilingC: string) =>
    `A heat balance: everything at its own temperature and specific heat (from its composition), the bowl, the work of mixing and the warmth that dry flour gives off when it is wetted. Water boils here at ${boilingC}.`,
  dryYeastWakesBestIn: (bloomFrom: string, bloomTo: string) =>
    `Dry yeast wakes best in water of ${bloomFrom}–${bloomTo}.`,
  mixing: 'Mixing',
  bowl: 'Bowl',
} as const;
