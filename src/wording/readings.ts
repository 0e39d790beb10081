import type { Reading } from '@/core/bake';

/** What a thermometer is held into. */
export const READING_WORD: Readonly<Record<Reading['of'], string>> = {
  dough: 'Dough',
  water: 'Water',
  room: 'Room',
  oil: 'Oil',
  oven: 'Oven',
  core: 'Core',
};
