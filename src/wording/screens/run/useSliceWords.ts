/** What the screen says. */
export const words = {
  aDampStreakLikely: ', a damp streak likely',
  aDampStreakPossible: ', a damp streak possible',
  highAndAcross: (height: string, across: string) => `${height} high and ${across} across`,
  theSliceToExpectPores: (size: string, poreMm: string, top: string, base: string, streak: string) =>
    `The slice to expect: ${size}, pores near ${poreMm}, top ${top}, base ${base}${streak}.`,
} as const;
