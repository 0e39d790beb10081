/** The block of a day in which a starter is fed for a dough. */
export const feedBlockId = (starterId: string): string => `feed ${starterId}`;
