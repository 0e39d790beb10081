/** What the screen says. */
export const words = {
  savedRevision: (savedAtMs: string, revision: number) => `Saved ${savedAtMs} · version ${revision}`,
  revision: (revision: number) => `Version ${revision}`,
  saving: 'Saving …',
  theDiskIsFullSaved: 'The disk is full: saved in this browser, trying again',
  noAnswerSavedInThis: 'No answer: saved in this browser, trying again',
  notSavedYet: (part: string) => `Not saved yet. ${part}`,
  notSavedTheServerDid: 'Not saved: the server did not take it. Your typing is safe in this browser.',
  notSavedSeeAbove: 'Not saved: see above',
} as const;
