/** What the screen says. */
export const words = {
  entryOfALog: 'entry of a log',
  versionOfTheEquipment: 'version of the equipment',
  kitchensNameAndTimeZone: 'kitchen’s name and time zone',
  oneThingHere: 'One thing here',
  thingsHere: (count: number) => `${count} things here`,
  cannotBeReadByThis: (part: string) =>
    `${part} cannot be read by this version of Honest Crumb. Nothing of it is lost: it stays in the database as it is.`,
  writtenByANewerVersion: (version: number) => `written by a newer version (shape ${version})`,
  itsDataAreDamaged: 'its data are damaged',
} as const;
