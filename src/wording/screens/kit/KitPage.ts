/** What the screen says. */
export const words = {
  saving: 'Saving …',
  theServerDoesNotAnswer: 'The server does not answer. It is tried again; leave this page open.',
  somebodyChangedTheEquipment:
    'Somebody changed the equipment in between. Reload this page to see how it is now; what you changed last is not saved.',
  theServerCouldNotTake: 'The server could not take that. Check the figures; the last change is not saved.',
  nameAndPlace: 'Name and place',
  equipment: 'Equipment',
  whatThisKitchenHasAnd: 'What this kitchen has and how it is. What nobody measured counts as ordinary.',
  saved: 'Saved',
} as const;
