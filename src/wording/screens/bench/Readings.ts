/** What the screen says. */
export const words = {
  thermometer: 'Thermometer',
  one: (what: string, temp: string, clock: string) => `${what.toLowerCase()} ${temp} at ${clock}`,
} as const;
