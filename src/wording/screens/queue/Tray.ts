/** What the screen says. */
export const words = {
  somethingElseWasSavedThere: 'Something else was saved there in between. Open it again to see both.',
  itCantBeSavedAs: 'It can’t be saved as it is.',
  itWasSentBeforeWith: 'It was sent before with something else in it.',
  whatItBelongsToIs: 'What it belongs to is not in this kitchen (any more).',
  itIsTooLargeTo: 'It is too large to be saved.',
  thisPageMayNotWrite: 'This page may not write to this server.',
  theServerCouldNotTake: 'The server could not take it.',
  notSaved: (count: number) => `${count} not saved`,
  waiting: (count: number) => `${count} waiting`,
  notOnTheServerYet: 'Not on the server yet',
  thisBrowserKeepsNothingWhen:
    'This browser keeps nothing when the page is closed: leave it open until all is sent.',
  savedInThisBrowserAlso: 'Saved in this browser, also when it is closed. What waits is sent by itself.',
  waitingForTheServer: 'Waiting for the server.',
  showWhatItWas: 'Show what it was',
  copied: 'Copied',
  copyIt: 'Copy it',
  sendItAgain: 'Send it again',
  removeIt: 'Remove it',
  yesRemoveItForGood: 'Yes, remove it for good',
} as const;
