import type { NotRight } from '@/core/bake';

/** What the screen says. */
export const words = {
  open: 'It is not right',
  title: 'What is not right?',
  hint: 'Each with what to do, and the core that counts here.',
  names: {
    topDark: 'Dark on top, not done inside',
    baseWet: 'Done on top, wet or pale below',
    ovenCold: 'The oven had gone cold',
  } satisfies Record<NotRight, string>,
  core: 'What its core reads',
  coldFor: 'For about how long',
  minutes: (min: number) => `${min} min`,
  sayTheCore: 'Read its core first: nothing else tells.',
  notShort: (target: string) => `Its core is where it should be (${target}): take it out.`,
  more: (more: string) => `${more} more`,
  span: (least: string, most: string) => `${least} to ${most}, and by its core:`,
  target: (target: string) => `done at ${target}`,
  how: {
    topDark: (temp: string | null) => `Cover it loosely, and set the oven to ${temp}.`,
    baseWet: (temp: string | null) => `Out of the tin or off the tray, straight on the hot rack, stone or steel; ${temp}, the top covered.`,
    ovenCold: (_temp: string | null) => 'Door shut, light it again; the time counts from when it is hot. It comes out paler.',
  } satisfies Record<NotRight, (temp: string | null) => string>,
  take: (more: string) => `Look again in ${more}`,
  back: 'Back',
} as const; // prettier-ignore
