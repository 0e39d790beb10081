import type { EaterReason, Exclusion } from '@/core/eaters';

/** What somebody does not eat, as it is said of them. */
export const EXCLUSION_WORD: Record<Exclusion, string> = {
  gluten: 'gluten (coeliac)', egg: 'egg', milk: 'milk', maize: 'maize (corn)', oats: 'oats', treeNuts: 'tree nuts', soya: 'soya',
  lupin: 'lupin', sesame: 'sesame', potato: 'potato', psyllium: 'psyllium', xanthan: 'xanthan', rice: 'rice', wheat: 'wheat',
  peanut: 'peanut', mustard: 'mustard', sulphites: 'sulphites',
}; // prettier-ignore

/** Why an eater has to look, in a few words; `names`: the ingredients it is about. */
export function wordReason({ exclusion, why }: EaterReason, names: string): string {
  const what = EXCLUSION_WORD[exclusion].replace(/ \(.*/, '');
  switch (why) {
    case 'holds':
      return `${what} in ${names}`;
    case 'madeFromWheat':
      return `made from wheat, gluten washed out: ${names}. Ask first`;
    case 'certifiedOnly':
      return `only if certified gluten-free: ${names}`;
    case 'crossContact':
      return `only if labelled gluten-free: ${names}`;
    case 'crossReaction':
      return `lupin can set off a peanut allergy: ${names}`;
    case 'unknown':
      return `nothing is known of ${names}`;
  }
}
