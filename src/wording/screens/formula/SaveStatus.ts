/** What the screen says. */
export const words = {
  savedVersion: (time: string, version: number) => `Saved ${time} · version ${version}`,
  version: (version: number) => `Version ${version}`,
  saving: 'Saving …',
  theDiskIsFullSaved: 'The disk is full: saved in this browser, trying again',
  noAnswerSavedInThis: 'No answer: saved in this browser, trying again',
  notSavedYet: (why: string) => `Not saved yet. ${why}`,
  notSavedTheServerDid: 'Not saved: the server did not take it. Your typing is safe in this browser.',
  notSavedSeeAbove: 'Not saved: see above',
} as const;
