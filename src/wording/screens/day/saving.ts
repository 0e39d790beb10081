/** What waits in the tray. */
export const words = {
  changesToTheDay: 'Changes to the day',
  changesToYourHours: 'Changes to your hours',
} as const;
