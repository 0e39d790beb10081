import type { KitchenDetails } from './kitchenDetails';

/** How a kitchen writes numbers and times, unless it says otherwise; and nobody’s name. */
export const PLAIN_WAYS: Omit<KitchenDetails, 'name' | 'about' | 'timeZone'> = {
  clockFace: '24',
  decimalMark: 'point',
  weekStart: 'monday',
  people: [],
  eaters: [],
};
