/** What the screen says. */
export const words = {
  title: (name: string) => `Not enough ${name.toLowerCase()}`,
  hint: 'What can go in for it. It counts in this bake; the formula stays as it is.',
  nothingKnown:
    'Nothing is known that does its work. Leave it out, or weigh what there is: then the bench says what that makes.',
  add: (mass: string, name: string) => `${mass} ${name}`,
  thenItIs: (band: string) => `then it is ${band}`,
  note: (name: string) => `instead of ${name.toLowerCase()}`,
} as const;
