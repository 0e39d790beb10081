/** What the screen says. */
export const words = {
  help: 'Help',
  skipToTheSheet: 'Skip to the content',
  honest: 'Honest',
  crumb: 'Crumb',
  otherKitchens: 'Other kitchens',
  daylightShiftD: 'Daylight (Shift D)',
  dimTheLightShiftD: 'Dim the light (Shift D)',
  keys: 'Keyboard shortcuts (?)',
  stations: 'Main pages',
} as const;
