/** What the screen says. */
export const words = {
  flours: 'flours',
  aStarter: 'a starter',
  aGel: 'a gel',
  aScald: 'a scald',
  seedsBits: 'seeds, bits',
  spices: 'spices',
  giveItAName: 'Give it a name.',
  sayHowMuchOfEach: 'Say how much of each goes in.',
  name: 'Name',
  alsoCalled: 'Also called',
  commasBetween: 'separated by commas',
  aMillilitreOfItWeighs: 'A millilitre of it weighs, if you measured it',
  note: 'Note',
  seeAbove: 'See above.',
  theBlend: 'the blend',
  change: (part: string) => `Change ${part}`,
  aBlendOfMine: 'A blend of mine',
  whatGoesIntoItBy:
    'What goes into it, by weight. In a formula it counts as what it is made of, to the last flour.',
  itIs: 'It is',
  whatItIs: 'What it is',
  gInAllIn100: (wholeG: string, value: string, value2: string, value3: string, value4: string) =>
    `${wholeG} g in total. In 100 g: ${value} water, ${value2} starch, ${value3} protein, ${value4} fibre.`,
  weight: 'Weight',
  noWeight: 'weight',
} as const;
