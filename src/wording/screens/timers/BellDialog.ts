/** What the screen says. */
export const words = {
  theBell: 'The bell',
  hint: 'For this device. Every timer rings on whatever page is open, until somebody answers.',
  test: 'Ring it now',
  testSpoken: 'This is how a timer calls',
  rings: 'Rings on this device',
  early: 'Calls softly two minutes before',
  spoken: 'Says which one it is',
  allowNotices: 'Also call beside the page',
  noSound: 'This browser makes no sound.',
  noVoice: 'This machine has no voice of its own: it rings without words.',
  insecure:
    'Without a secure connection the browser shows no notices beside the page, the screen may go off, and pages do not open here when the server is away.',
  refused: 'Notices beside the page were refused in this browser: allow them in its settings for this page.',
  noNotices: 'This browser shows no notices beside the page.',
  screenGoesOff: 'This browser cannot keep the screen on: set it to stay on yourself.',
  closedIsSilent: 'A page that is closed, or a device that sleeps, rings nothing; what was missed is said when it is open again.',
} as const; // prettier-ignore
