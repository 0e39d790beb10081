/**
 * What is asked of a slice of gluten-free bread, each from 1 to 5. `best` is the end, or the middle, that most breads want; null where it is a
 * matter of the style (a tin loaf may be close, a flatbread open). The words of each step are the interface's (src/wording/tasting.ts).
 */
export const QUESTIONS = [
  // what the eye sees
  { id: 'height', about: 'look', best: 5 },
  { id: 'stand', about: 'look', best: 5 },
  { id: 'colourAbove', about: 'look', best: 3 },
  { id: 'colourBelow', about: 'look', best: 3 },
  // the cut face
  { id: 'openness', about: 'cut', best: null },
  { id: 'evenness', about: 'cut', best: 5 },
  { id: 'tunnels', about: 'cut', best: 5 },
  { id: 'denseLine', about: 'cut', best: 5 },
  // hands and mouth
  { id: 'gumminess', about: 'feel', best: 5 },
  { id: 'moistness', about: 'feel', best: 3 },
  { id: 'bend', about: 'feel', best: 5 },
  { id: 'crust', about: 'feel', best: 3 },
  { id: 'flavour', about: 'taste', best: 5 },
  { id: 'aftertaste', about: 'taste', best: 5 },
  // whoever eats it
  { id: 'verdict', about: 'taste', best: 5 },
] as const satisfies readonly {
  id: string;
  about: 'look' | 'cut' | 'feel' | 'taste';
  best: 3 | 5 | null;
}[];

export type QuestionId = (typeof QUESTIONS)[number]['id'];
export type QuestionAbout = (typeof QUESTIONS)[number]['about'];
export const QUESTION_IDS = QUESTIONS.map(({ id }) => id) as [QuestionId, ...QuestionId[]];

/** When a slice was tasted. */
export const OCCASIONS = ['fresh', 'nextDay', 'frozen'] as const;
export type Occasion = (typeof OCCASIONS)[number];

/** How far a score is from what most breads want, 0 … 4 steps, with its sign: below zero it is too little of it. Null: nothing is wanted. */
export function missedBy(id: QuestionId, score: number): number | null {
  const best = QUESTIONS.find((question) => question.id === id)?.best ?? null;
  return best === null ? null : score - best;
}
