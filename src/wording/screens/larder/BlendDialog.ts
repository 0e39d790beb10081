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
  separatedByCommas: 'separated by commas',
  aMillilitreOfItWeighs: 'A millilitre of it weighs, if you measured it',
  note: 'Note',
  seeAbove: 'See above.',
  theBlend: 'the blend',
  change: (name: string) => `Change ${name}`,
  aBlendOfMine: 'A blend of mine',
  whatGoesIntoItBy:
    'What goes into it, by weight. In a formula it counts as what it is made of, to the last flour.',
  itIs: 'It is',
  whatItIs: 'What it is',
  inTotalAndIn100G: (total: string, water: string, starch: string, protein: string, fibre: string) =>
    `${total} g in total. In 100 g: ${water} water, ${starch} starch, ${protein} protein, ${fibre} fibre.`,
  weight: 'Weight',
  noWeight: 'weight',
} as const;
