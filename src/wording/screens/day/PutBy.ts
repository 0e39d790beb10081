/** What the screen says. */
export const words = {
  thereAre: (left: number, as: string) => `${left} put by, ${as}.`,
  out: (pieces: number, left: number, as: string) => `${pieces} of the ${left} put by, ${as}.`,
  madeOn: (day: string) => `Made ${day},`,
} as const;
