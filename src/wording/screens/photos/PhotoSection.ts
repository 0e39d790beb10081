/** What the screen says. */
export const words = {
  photographs: 'Photographs',
  aPicture: 'A photograph',
  whatItShows: 'What it shows',
  shows: { cut: 'Cut face', whole: 'Whole loaf', nextDay: 'Next day' },
  whichBread: 'Which bread',
  allBreads: 'All of them',
  takePicture: 'Take a picture',
  chooseFile: 'Choose a file',
  readying: 'Getting the picture ready …',
  noneYet:
    'No picture yet. Lay a slice on a plain board of another colour, in even light, and take it from straight above: the crumb is read from it.',
  picture: (of: string) => `${of}, a photograph`,
  waiting: 'Waiting for the server …',
  notTaken: 'It was not taken.',
  showAway: (count: number) => (count === 1 ? 'Show the one put away' : `Show the ${count} put away`),
  hideAway: 'Hide what was put away',
  isAway: ', put away',
  porous: (percent: string) => `, ${percent} % porous`,
  notHere: 'This picture is not on this machine.',
} as const;
