/** Whether a document of the kitchen is saved. */
export const words = {
  saved: 'Saved',
  saving: 'Saving …',
  unreachable: 'The server does not answer: this is kept here and sent later.',
  stale: 'Somebody changed this meanwhile: yours was not saved.',
  refused: 'The server could not take that.',
  loadAgain: 'Load again',
} as const;
