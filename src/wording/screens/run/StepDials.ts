/** What the screen says. */
export const words = {
  howLong: 'How long: ',
  howWarm: 'How warm: ',
  asTheRoom: 'as the room',
  airInTheOven: (name: string) => `Air in the oven: ${name}`,
  bakedOn: (name: string) => `Baked on: ${name}`,
  on: (what: string) => `on ${what}`,
  inItsTin: 'in its tin',
  topped: 'topped',
} as const;
