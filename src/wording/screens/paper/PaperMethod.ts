/** What the paper says. */
export const words = {
  method: 'Method',
  goesIn: (what: string) => `goes in: ${what}`,
  until: (cue: string) => `until ${cue}`,
  anotherDay: (name: string, steps: string) => `${name}, once taken out: ${steps}.`,
  baked: 'Date ____________   weight out ____________   cut at ____________',
} as const;
