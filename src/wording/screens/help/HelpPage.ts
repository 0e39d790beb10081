/** What the screen says. */
export const words = {
  help: 'Help',
  fromFormulaToBread: 'From a formula to bread',
  steps: [
    {
      title: 'Write or import a formula',
      text: 'Type what goes in, by weight or in cups and spoons. The card beside it says what kind of dough it makes, when it is ready and when it may be cut. Or paste a recipe: what is not sure is asked.',
      href: '/formulas',
      link: 'Formulas',
    },
    {
      title: 'Tell it about your kitchen',
      text: 'Your oven, tins, scales, how warm it is, who eats what you bake and what they must not. The more is measured, the narrower the ranges.',
      href: '/kit',
      link: 'Equipment',
    },
    {
      title: 'Make a batch',
      text: 'Say how much: so many pieces, times the formula, or what you want to use up. It is rounded to what your scales can show.',
      href: '/formulas',
      link: 'Open a formula, then “Make a batch”',
    },
    {
      title: 'Bake at the bench',
      text: 'One thing at a time, large enough for wet hands. Weigh, tick, start timers; write down what you added and how it felt. Nothing is lost when the network or the power goes.',
      href: '/bench',
      link: 'Bench',
    },
    {
      title: 'Look, taste, log it',
      text: 'Scores and a few words. What was planned stands beside what was done, and the next timeline learns from it.',
      href: '/logbook',
      link: 'Logbook',
    },
  ],
  goodToKnow: 'Good to know',
  facts: [
    'Everything is saved by itself. Every version of a formula stays and can be restored (menu “More”, History).',
    'Undo is Ctrl Z, on every formula. The keyboard button at the top lists all shortcuts; single keys can be turned off there.',
    'Underlined words explain themselves: point at them, tap them, or press Enter on them.',
    'Grams or ounces, °C or °F, cm or inches: the buttons at the top change them everywhere at once. How numbers and times are written belongs to the kitchen, under Equipment.',
    'A formula is never called safe. Allergens are found by typical ingredients: read your own labels, and follow the food law where you are.',
    'All data stay on this machine. A whole kitchen is exported to one file, and imported from it, on the page of kitchens.',
  ],
  terms: 'Words of the craft',
} as const;
