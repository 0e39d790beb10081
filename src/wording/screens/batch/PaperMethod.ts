/** What the paper says. */
export const words = {
  method: 'Method',
  goesIn: (what: string) => `goes in: ${what}`,
  until: (cue: string) => `until ${cue}`,
  baked: 'Date ____________   weight out ____________   cut at ____________',
} as const;
