const days = (count: number) => (count === 1 ? 'a day' : `${count} days`);

/** What the screen says. */
export const words = {
  lots: 'Lots',
  lotOf: (name: string) => `Lot of ${name}`,
  noneToldApart: 'none told apart',
  /** How old a bag was that day. */
  age: ({ openDays, pastDays }: { readonly openDays: number | null; readonly pastDays: number | null }) =>
    [
      openDays === null ? '' : openDays === 0 ? 'opened that day' : `open for ${days(openDays)}`,
      pastDays === null
        ? ''
        : pastDays > 0
          ? `${days(pastDays)} past its date`
          : pastDays === 0
            ? 'at its date'
            : `${days(-pastDays)} before its date`,
    ]
      .filter(Boolean)
      .join(', '),
} as const;
