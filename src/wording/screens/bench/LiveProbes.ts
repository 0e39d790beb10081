/** What the screen says. */
export const words = {
  save: (of: string, temperature: string) => `Save: ${of}, ${temperature}`,
  of: (target: string) => `of ${target}`,
  isThere: 'there',
  coreIsThere: (target: string) => `The core is at ${target}.`,
} as const;
