/** What the screen says. */
export const words = {
  risenByAbout: (risePercent: number) => `risen by about ${risePercent} %`,
  letItRiseAnotherWay: 'Let it rise another way',
  waysOfRising: 'Ways of rising',
  untilRisenByAbout: (risePercent: number) => `until risen by about ${risePercent} %`,
  putThisIntoTheMethod: 'Put this into the method',
} as const;
