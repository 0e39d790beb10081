/** What the screen says. */
export const words = {
  title: 'Give it away, and what is learnt from it',
  handOn: 'Hand on as one file',
  handOnHint: 'A page with its pictures that can be read anywhere and changed nowhere.',
  print: 'Print it',
  teaches: 'The models learn from this bake: its rise marks, how its dough felt, its cut, what was tasted.',
  teachesNot: 'The models learn nothing from this bake.',
  leaveOut: 'Leave it out',
  letTeach: 'Let it teach again',
} as const;
