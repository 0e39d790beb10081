/** What the screen says. */
export const words = {
  holds: (join: string) => `holds ${join}`,
  noBinderInIt: 'no binder in it',
  typeANameRiceLinseed: 'Type a name: rice, linseed, cornflour …',
  nothingByThatNameTry: 'Nothing by that name. Try another word for it.',
  somethingOfMyOwn: (name: string) => `“${name}” is something of my own …`,
  not: (join: string) => `not ${join}`,
} as const;
