/** What the screen says. */
export const words = {
  aDampStreakLikely: ', a damp streak likely',
  aDampStreakPossible: ', a damp streak possible',
  highAndAcross: (length: string, length2: string) => `${length} high and ${length2} across`,
  theSliceToExpectPores: (size: string, poreMm: string, part: string, part2: string, streak: string) =>
    `The slice to expect: ${size}, pores near ${poreMm}, top ${part}, base ${part2}${streak}.`,
} as const;
