import type { AdviceResult, ChangeKind, Explanation } from '@/core/advice';

/** What may have happened, as a baker says it; and how one makes sure the next time. */
export const CAUSE_WORD: Readonly<Record<Explanation, { readonly name: string; readonly how: string }>> = {
  cutEarly: { name: 'Cut before its crumb had set', how: 'A gel is soft until it has cooled: what is gummy at once may be fine in the evening.' },
  underBaked: { name: 'Not baked through', how: 'Its middle had not been hot for long enough. A probe in the middle tells.' },
  overBaked: { name: 'Baked for too long', how: 'It dried out after it was done.' },
  coolOven: { name: 'The oven was colder than its dial', how: 'A thermometer on the shelf tells in ten minutes.' },
  hotOven: { name: 'The oven was hotter than its dial', how: 'A thermometer on the shelf tells in ten minutes.' },
  coolPlate: { name: 'The stone or steel was not hot through', how: 'The air is hot long before a stone is.' },
  tooWet: { name: 'Too much water', how: 'More than was meant went in, or the formula asks for more than this dough bears.' },
  tooDry: { name: 'Too little water', how: 'Less than was meant went in, or the formula asks for less than this dough absorbs.' },
  otherBag: { name: 'Another bag absorbs otherwise', how: 'Two mills, or two harvests, of one flour can differ by a tenth of the water.' },
  underProofed: { name: 'Not risen for long enough', how: 'It went in before it was ready.' },
  overProofed: { name: 'Risen for too long', how: 'It had passed its top and could no longer hold what it had.' },
  weakYeast: { name: 'The yeast was tired', how: 'A spoonful in warm water with sugar foams in ten minutes, or it does not.' },
  coldDough: { name: 'The dough was cold', how: 'Cold flour and a cold bowl take more from the water than one thinks.' },
  yeastForgotten: { name: 'The yeast was forgotten', how: 'Ticked, but not in.' },
  yeastDoubled: { name: 'The yeast went in twice', how: 'It rose fast and tastes of it.' },
  binderForgotten: { name: 'The binder was forgotten', how: 'Without it nothing holds gas or crumb together.' },
  binderDoubled: { name: 'The binder went in twice', how: 'A tight, gummy crumb.' },
  saltForgotten: { name: 'The salt was forgotten', how: 'It tastes of nothing and rose faster.' },
  saltDoubled: { name: 'The salt went in twice', how: 'It rose more slowly, and one tastes it.' },
  piecesLarge: { name: 'The pieces were too large', how: 'What takes 30 minutes at 90 g takes 40 at 130.' },
  piecesSmall: { name: 'The pieces were too small', how: 'They were done, and dried, before their time was over.' },
  airLeftIn: { name: 'Air was shaped in', how: 'A fold that did not seal, or flour between, becomes a tunnel.' },
  asWritten: { name: 'Nothing went wrong, the formula is so', how: 'By the models this is what it makes, on a day like any other.' },
  somethingElse: { name: 'Something else', how: 'What was seen fits none of the causes that are known here.' },
}; // prettier-ignore

/** What is changed, in a few words. */
export const CHANGE_WORD: Readonly<Record<ChangeKind, (more: boolean, by: string) => string>> = {
  sameAgain: () => 'Bake it again as it is',
  water: (more, by) => `${by} ${more ? 'more' : 'less'} water`,
  binder: (more, by) => `${by} ${more ? 'more' : 'less'} binder`,
  leaven: (more, by) => `${by} ${more ? 'more' : 'less'} yeast`,
  proof: (more, by) => `Let it rise ${by} ${more ? 'longer' : 'shorter'}`,
  bake: (more, by) => `Bake it ${by} ${more ? 'longer' : 'shorter'}`,
  oven: (more, by) => `Bake it ${by} ${more ? 'hotter' : 'cooler'}`,
  dough: (more, by) => `Mix the dough ${by} ${more ? 'warmer' : 'cooler'}`,
  cool: () => 'Let it cool before it is cut',
  preheat: () => 'Heat the stone or steel for longer',
};

/** Signs that are no question of the card. */
export const SIGN_WORD: Readonly<Record<string, string>> = {
  'read.core': 'Core out of the oven',
  'read.lost': 'Weight lost',
  'read.doughC': 'Dough',
  'read.feel': 'How it felt',
  'read.ovenC': 'Oven off its dial',
  mark: 'Risen',
  'photo.porosity': 'Holes in the picture',
  'photo.heightToWidth': 'Height to width',
  'photo.evenness': 'Evenness in the picture',
  'photo.tunnel': 'Longest hole in the picture',
  'photo.denseLine': 'Dense line in the picture',
  'made.water': 'Water as it was weighed',
  'made.binder': 'Binder as it was weighed',
  'made.salt': 'Salt as it was weighed',
  'made.leaven': 'Yeast as it was weighed',
  'made.proof': 'How long it rose',
  'made.bake': 'How long it was in the heat',
  'made.cut': 'How soon it was cut',
  'made.size': 'Size of the pieces',
};

export const VERDICT_WORD: Readonly<Record<AdviceResult['verdict'], string>> = {
  right: 'It was right.',
  half: 'Half of it was right.',
  wrong: 'It was not right.',
  open: 'No bread made by it has been tasted yet.',
};
