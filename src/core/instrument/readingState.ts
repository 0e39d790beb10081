/** How sure an instrument is of a figure: it stands still, it moves, it is beyond what it can show, it is broken. */
export const READING_STATES = ['steady', 'moving', 'overload', 'fault'] as const;
export type ReadingState = (typeof READING_STATES)[number];

/** Whether what it shows is a figure at all. */
export const isFigure = (state: ReadingState | undefined): boolean =>
  state !== 'overload' && state !== 'fault';
