/** What the screen says. */
export const words = {
  title: 'Planned, predicted, happened',
  planned: 'planned',
  predicted: 'predicted',
  happened: 'happened',
  inside: 'inside',
  outside: 'outside',
  judged: (inside: number, of: number) => `The models had ${inside} of ${of} inside of their eight of ten.`,
  madeAfter: (day: string) => `What was predicted was computed on ${day}, after this bake had begun, with the kitchen as it was then.`,
  asking: 'Computing what was to be expected …',
} as const; // prettier-ignore
