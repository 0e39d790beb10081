/** What the screen says. */
export const words = {
  theBakeCantBe: (bakeProblem: string) => `The bake can’t be calculated: ${bakeProblem}`,
  itIsStep: (step: string) => `It is step ${step}`,
} as const;
