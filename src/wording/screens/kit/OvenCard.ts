/** What the screen says. */
export const words = {
  topAndBottomHeat: 'top and bottom heat',
  fan: 'fan',
  deck: 'deck',
  flameOrDome: 'flame or dome',
  grillFromAbove: 'grill, heat from above',
  fanWithHumidity: 'fan with humidity',
  highestSetting: 'Highest setting',
  nameOf: (name: string) => `Name of ${name}`,
  kindOf: (name: string) => `Kind of ${name}`,
  theOneBakesAre: ' the one bakes are calculated for',
  roomInside: 'Room inside',
  coldToTakesIt: (temperature: string) => `Cold to ${temperature} takes it`,
  floorLong: 'Floor, side to side',
  floorWide: 'Floor, front to back',
  shelves: 'Shelves that bake at once',
} as const;
