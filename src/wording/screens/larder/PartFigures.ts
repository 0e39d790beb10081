/** What the screen says. */
export const words = {
  in100G: 'In 100 g ',
  togetherG: (decimal: string) => `together ${decimal} g`,
  mustBe98To102: ': must be 98 to 102',
  saltOfTheAsh: 'Salt, of the ash',
} as const;
