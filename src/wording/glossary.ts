/**
 * The craft's words as this application uses them, each explained in a sentence or two: where it stands (tap it) and on the help page. For
 * who bakes, not for who builds: docs/glossary.md is theirs.
 */
export const GLOSSARY = {
  hydration: {
    word: 'Water (hydration)',
    means:
      'All the water in the dough, also what is inside eggs, milk, honey and starters, for every 100 of flours and starches. “As poured” counts the liquids only, as many recipes do.',
  },
  bakersPercentage: {
    word: 'Baker’s percentage',
    means:
      'Every ingredient against the flours and starches together, which are the 100 %. So a recipe keeps its balance whatever its size.',
  },
  salt: {
    word: 'Salt',
    means: 'Salt as such, for every 100 of flours and starches. Most breads have between 1.5 and 2.2.',
  },
  binder: {
    word: 'Binder',
    means:
      'Psyllium, xanthan, guar and their like: they hold water and gas together in the place of gluten. For every 100 of flours and starches.',
  },
  absorbs: {
    word: 'Absorbs',
    means:
      'How much water a flour or binder takes up in the end, gram for gram, and how long it takes. A dough goes on firming while they do.',
  },
  feel: {
    word: 'How the dough feels',
    means:
      'Its word after the rest: crumbly, stiff, soft, sticky, a batter. It follows from the water that is left free when every powder has had its share.',
  },
  bulk: { word: 'Bulk rise', means: 'The rise of the whole dough, in its bowl, before it is divided.' },
  proof: { word: 'Proof', means: 'The last rise, of the shaped piece, in its tin or on its cloth.' },
  ready: {
    word: 'Ready to bake',
    means:
      'When the rise has used about seven tenths of what this dough can hold: some is left for the oven. A range, because yeast, flour and room differ from day to day. Look at the dough, not at the clock.',
  },
  cut: {
    word: 'May be cut',
    means:
      'When the middle has cooled below 32 °C (90 °F) and the starch of the crumb has firmed. Cut earlier it is gummy and smears. What is eaten warm says from when: the steam has settled and it no longer burns.',
  },
  set: {
    word: 'Crumb set',
    means: 'The starch has swollen and holds. Before that the middle is raw, however brown the crust is.',
  },
  slice: {
    word: 'The slice',
    means:
      'A drawn cut through the baked piece, computed from its rise and bake: how high, how open, how brown. Nothing in it is decoration.',
  },
  range: {
    word: 'Ranges',
    means:
      'Most figures are given as from–to: in four bakes of five the truth lies between. A single number would promise more than anybody knows.',
  },
  allergens: {
    word: 'Allergens',
    means:
      'What is in it that people react to, by typical ingredients. Your own labels decide, and the food law where you are. Nothing here says that a bread is safe.',
  },
  bakeLoss: {
    word: 'Bake loss',
    means: 'The weight a piece loses in the oven and while it cools: nearly all of it water.',
  },
  bowlLoss: {
    word: 'Bowl loss',
    means: 'The dough that stays in the bowl and on hands and tools, and never becomes bread.',
  },
  coast: {
    word: 'Coast',
    means:
      'Left in the oven after it is switched off, often with the door ajar, so that the crumb dries a little.',
  },
  coldHold: {
    word: 'Cold hold',
    means: 'Hours or a night in the fridge: the rise nearly stops, taste develops, the day can be planned.',
  },
  starter: {
    word: 'Starter',
    means:
      'Flour and water kept alive with wild yeasts and bacteria. In a dough it counts as the flour and water that it is.',
  },
  scald: {
    word: 'Scald',
    means: 'Flour stirred into boiling water: its starch swells at once and binds the dough like a custard.',
  },
  version: {
    word: 'Version',
    means:
      'Every change of a formula is saved as a version. None is ever lost: any can be looked at, compared, and restored.',
  },
  handsOn: {
    word: 'Hands-on and hands-off',
    means:
      'Hands-on is time in which you do something; hands-off is time in which the dough or the oven does.',
  },
  offset: {
    word: 'Oven offset',
    means:
      'How far your oven’s dial is from what a thermometer inside says. Measured once, every bake is computed with it.',
  },
} as const;
export type TermId = keyof typeof GLOSSARY;
