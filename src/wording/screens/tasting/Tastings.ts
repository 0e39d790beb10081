/** What the screen says. */
export const words = {
  tasted: 'Tasted',
  aLink: 'A link for a taster',
  tasteIt: 'Taste it',
  nobodyYet: 'Nobody has tasted it yet. The card asks what shows in gluten-free bread, in words.',
  cards: (count: number) => (count === 1 ? 'one card' : `${count} cards, their mean`),
  farOff: 'far from what most want',
  apart: (spread: string) => `± ${spread}`,
  somebody: 'Somebody',
  putRight: 'Put right',
  takeBack: 'Take back',
  yesTakeBack: 'Yes, take it back',
  before: (when: string, scores: string) => `Before, on ${when}: ${scores || 'other words'}.`,
} as const;
