/** What the screen says. */
export const words = {
  next: 'Next',
  due: 'Due',
  inTime: (long: string) => `in ${long}`,
  ago: (long: string) => `${long} ago`,
  nothingMore: 'Nothing more to do today: what is left goes by itself.',
  started: 'Started now',
  startedThen: (clock: string) => `Started at ${clock}`,
  done: 'Done',
  running: 'In progress:',
  wholeDay: 'The whole day',
  toTheStarters: 'To the starters',
  toTheBench: 'To the bench',
  clock: 'Time',
  what: 'What',
  of: 'For',
  then: 'Then',
} as const;
