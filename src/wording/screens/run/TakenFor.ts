/** What the screen says. */
export const words = {
  theMethodDoesNotSay: 'The method does not say; taken as is usual:',
  time: (time: string) => `${time} long`,
  heat: (heat: string) => `at ${heat}`,
  inTheRoom: 'in the room',
} as const;
