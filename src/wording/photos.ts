import type { PhotoOf } from '@/core/photo';

export const PHOTO_OF_WORD: Readonly<Record<PhotoOf, string>> = {
  cut: 'The cut face',
  whole: 'The whole loaf',
  nextDay: 'The crumb the next day',
};
