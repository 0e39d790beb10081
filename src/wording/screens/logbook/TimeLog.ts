/** What the screen says. */
export const words = {
  whatHappenedWhen: 'What happened when',
  noStepWasTickedAnd: 'No step was ticked and nothing was noted.',
  read: (what: string) => `${what} read `,
  wasSkipped: 'was skipped',
  mended: {
    carryOn: (what: string) =>
      `Not the amount of ${what.toLowerCase()} that was asked for: carried on as it was`,
    addRest: (what: string) => `Too little ${what.toLowerCase()}: the rest was added`,
    takeOut: (what: string) => `Too much ${what.toLowerCase()}: taken out again`,
    balance: (what: string) =>
      `Not the amount of ${what.toLowerCase()} that was asked for: balanced with flour or water`,
    moreOfAll: (what: string) => `Too much ${what.toLowerCase()}: more of everything`,
    lessOfAll: (what: string) => `Too little ${what.toLowerCase()}: less of everything`,
  },
  courses: {
    cold: (_lost: number | null) => 'Another course: into the fridge',
    yeast: (_lost: number | null) => 'Another course: other yeast, other times',
    tin: (_lost: number | null) => 'Another course: into another tin',
    lost: (lost: number | null) => (lost === null ? 'A load was lost' : `A load was lost: ${lost}`),
  },
  hands: (all: readonly { readonly who: string; readonly count: number }[]) =>
    `By ${all.map(({ who, count }) => `${who} (${count})`).join(', ')}`,
  handed: (to: string, text: string) => `Handed over to ${to}${text === '' ? '' : `: ${text}`}`,
  paused: (until: string) => `Paused until ${until}`,
  cleaned: 'All was cleaned down',
  itFelt: 'It felt ',
  at: (what: string) => `${what} at `,
  openedAgainItHadBeen: (time: string) => `Opened again (it had been ended at ${time})`,
  planned: (minS: string) => `planned ${minS}`,
  cameOut: (call: string) => (call === '' ? 'Came out' : `Came out, ${call},`),
  trialOut: (pieces: number) => (pieces === 1 ? 'A trial of one came out' : `A trial of ${pieces} came out`),
  after: (time: string) => `after ${time}`,
  colours: { pale: 'too pale', right: 'its colour as it should be', dark: 'too dark' },
  setAnew: (count: number, time: string, temp: string | null) =>
    `${count === 1 ? 'What was' : `The ${count}`} still to come set to ${time}${temp === null ? '' : ` at ${temp}`}`,
} as const;
