/** What can have gone wrong with a bake; `asWritten`: nothing did, the formula itself is so, on a day like any other. */
export const CAUSE_IDS = [
  'cutEarly', 'underBaked', 'overBaked', 'coolOven', 'hotOven', 'coolPlate', 'tooWet', 'tooDry', 'otherBag', 'underProofed',
  'overProofed', 'weakYeast', 'coldDough', 'yeastForgotten', 'yeastDoubled', 'binderForgotten', 'binderDoubled', 'saltForgotten',
  'saltDoubled', 'piecesLarge', 'piecesSmall', 'airLeftIn', 'asWritten',
] as const; // prettier-ignore
export type CauseId = (typeof CAUSE_IDS)[number];

/** A cause, or something nobody thought of. */
export const EXPLANATIONS = [...CAUSE_IDS, 'somethingElse'] as const;
export type Explanation = (typeof EXPLANATIONS)[number];

/** One change for the next time; `sameAgain`: it needs none. */
export const CHANGE_KINDS = [
  'sameAgain', 'water', 'binder', 'leaven', 'proof', 'bake', 'oven', 'dough', 'cool', 'preheat',
] as const; // prettier-ignore
export type ChangeKind = (typeof CHANGE_KINDS)[number];
