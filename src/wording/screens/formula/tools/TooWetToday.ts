/** What the screen says. */
export const words = {
  itFeels: 'It feels',
  itShouldBe: 'It should be',
  water: (decimal: string, decimal2: string) => `water ${decimal} → ${decimal2} %`,
  salt: (from: string, decimal: string) => `, salt ${from} → ${decimal} %`,
  moreKeepsIt: (saltG: string) => `: ${saltG} more keeps it`,
  moreKeepsItsPace: (toLowerCase: string, addG: string) => `; ${toLowerCase} ${addG} more keeps its pace`,
  itIsToBecomeDrier: 'To make it firmer, choose a firmer dough than it feels now.',
} as const;
