/** What the screen says. */
export const words = {
  in100G: 'In 100 g ',
  togetherG: (sum: string) => `together ${sum} g`,
  mustBe98To102: ': must be 98 to 102',
  saltOfTheAsh: 'Salt, of the ash',
} as const;
