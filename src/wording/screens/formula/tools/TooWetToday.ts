/** What the screen says. */
export const words = {
  itFeels: 'It feels',
  itShouldBe: 'It should be',
  water: (from: string, to: string) => `water ${from} → ${to} %`,
  salt: (from: string, to: string) => `, salt ${from} → ${to} %`,
  moreKeepsIt: (saltG: string) => `: ${saltG} more keeps it`,
  moreKeepsItsPace: (yeast: string, mass: string) => `; ${yeast} ${mass} more keeps its pace`,
  toMakeItFirmer: 'To make it firmer, choose a firmer dough than it feels now.',
} as const;
