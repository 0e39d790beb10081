/** What the screen says. */
export const words = {
  thisFormulaWasChanged: 'This formula was changed somewhere else',
  at: (savedAtMs: string) => ` at ${savedAtMs}`,
  versionWhileYouWereChanging: (revision: number) =>
    ` (version ${revision}) while you were changing it here.`,
  nothingWasOverwrittenAndWhat:
    'Nothing was overwritten, and what you typed is still on this page. Which one goes on?',
  fromTheirsToYours: 'From theirs to yours',
  goOnWithTheirs: 'Go on with theirs',
  saveMineAsTheNewest: 'Save mine as the newest',
  saveMineAsAFormula: 'Save mine as a formula of its own',
} as const;
