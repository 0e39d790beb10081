import { AVOIDED } from '../adjust/avoided';

/** What somebody must not eat: gluten as coeliacs mean it, an allergen, or what a body does not take. */
export const EXCLUSIONS = ['gluten', ...AVOIDED, 'peanut', 'mustard', 'sulphites'] as const;
export type Exclusion = (typeof EXCLUSIONS)[number];

export const EATER_LIMITS = { people: 30, eaters: 60, nameLength: 60 } as const;

/** Somebody, or an order, that is baked for, and what must not be in it. */
export interface Eater {
  readonly id: string;
  readonly name: string;
  readonly avoids: readonly Exclusion[];
}
