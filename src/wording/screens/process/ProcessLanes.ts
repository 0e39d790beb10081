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
    `Longest wait: ${what} waits ${time} until there is room. See whether the dough can bear it.`,
} as const;
