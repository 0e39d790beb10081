/** What the screen says. */
export const words = {
  help: 'Help',
  skipToTheContent: 'Skip to the content',
  honest: 'Honest',
  crumb: 'Crumb',
  otherKitchens: 'Other kitchens',
  daylightShiftD: 'Daylight (Shift D)',
  dimTheLightShiftD: 'Dim the light (Shift D)',
  theBell: 'The bell',
  keyboardShortcuts: 'Keyboard shortcuts (?)',
  mainPages: 'Main pages',
} as const;
