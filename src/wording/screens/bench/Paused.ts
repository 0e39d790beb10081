/** What the screen says. */
export const words = {
  paused: 'Paused',
  since: (at: string) => `Since ${at}. Nothing rings until you go on.`,
  waits: (steps: string) => `Stopped with what they had left: ${steps}. A dough does not stop rising for it: the fridge slows it.`, // prettier-ignore
  goOn: 'Go on',
} as const;
