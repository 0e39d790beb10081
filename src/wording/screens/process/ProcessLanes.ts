/** What the screen says. */
export const words = {
  title: 'How it goes',
  lanes: 'What is done when, from the beginning',
  inAll: (time: string) => `about ${time} at usual lengths`,
  dough: 'The dough',
  after: (hours: number) => (hours === 0 ? 'start' : hours < 1 ? `${hours * 60} min` : `${hours} h`),
  detail: (told: string, mayWait: string | null) =>
    mayWait ? `${told}; may wait ${mayWait} afterwards` : `${told}; may not wait afterwards`,
  waits: (what: string, time: string) =>
    `Longest wait: ${what} waits ${time} until there is room, which it bears.`,
  waitsTooLong: (what: string, time: string, bears: string) =>
    `Longest wait: ${what} waits ${time} until there is room; it bears about ${bears}. Keep it in the cold, or shape it later.`,
} as const;
