/** What the screen says. */
export const words = {
  pieces: 'Take out',
  when: (name: string) => `When should ${name} be ready?`,
  startNow: 'Start now',
  asSoon: 'as soon as it can be',
  usual: { noon: 'For lunch', supper: 'For supper', morning: 'For breakfast', market: 'For market day' },
  another: 'At another time',
  window: 'or a while earlier, not before',
  layOut: 'Lay out the day',
  sayWhen: 'Say a day and a time.',
  notNow: 'Not now',
} as const;
