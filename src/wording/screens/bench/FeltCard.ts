/** The dough feels other than it was meant to. */
export const words = {
  title: 'Not as it was meant',
  wetter: (felt: string, meant: string) => `Wetter than it was meant to be: ${felt} instead of ${meant}`,
  drier: (felt: string, meant: string) => `Drier than it was meant to be: ${felt} instead of ${meant}`,
  move: (mass: string, name: string) => `${mass} ${name}`,
  and: ' and ',
  workIn: (moves: string) => `Work in ${moves}`,
  how: 'Half of it first, then feel again.',
  leave: 'Leave it as it is',
} as const;
