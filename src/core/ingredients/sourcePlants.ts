import type { Ingredient } from './ingredient';
import { isOwnId } from './ownId';

/** What some avoid though no law lists it, so that no ingredient carries it as an allergen. */
export const SOURCE_PLANTS = ['oats', 'potato', 'rice', 'psyllium', 'xanthan', 'maize'] as const;
export type SourcePlant = (typeof SOURCE_PLANTS)[number];

/** What of the library comes of each; mixtures are taken apart before anybody asks. */
const OF_LIBRARY: Readonly<Record<SourcePlant, ReadonlySet<string>>> = {
  oats: new Set(['oat-flour-certified', 'rolled-oats-certified', 'oat-bran-certified', 'oat-drink-certified']),
  potato: new Set(['potato-flour', 'potato-starch', 'mashed-potato']),
  rice: new Set([
    'white-rice-flour', 'brown-rice-flour', 'sweet-rice-flour', 'red-rice-flour', 'rice-bran', 'rice-starch', 'rice-drink',
    'rice-syrup', 'rice-starter',
  ]),
  psyllium: new Set(['psyllium-husk', 'psyllium-powder']),
  xanthan: new Set(['xanthan']),
  maize: new Set(['maize-flour', 'polenta', 'masa-harina', 'maize-starch', 'pregelatinised-starch', 'glucose-syrup']),
}; // prettier-ignore

/** An ingredient of the baker's own has only its names to say it by; they are theirs, and stand on the screen. */
const IN_OWN_NAMES: Readonly<Record<SourcePlant, RegExp>> = {
  oats: /\boats?\b/i,
  potato: /(?<!sweet[ -])\bpotato(?:es)?\b/i,
  rice: /\brice\b/i,
  psyllium: /\bpsyllium\b|\bispaghula\b/i,
  xanthan: /\bxanthan\b/i,
  maize: /\bmaize\b|\bcorn(?:flour|meal|starch)?\b|\bpolenta\b/i,
};

/** Whether an ingredient comes of that plant, or, for one of the baker's own, is called so. */
export function comesOf(plant: SourcePlant, { id, name, alsoCalled }: Ingredient): boolean {
  if (!isOwnId(id)) return OF_LIBRARY[plant].has(id);
  return IN_OWN_NAMES[plant].test([name, ...alsoCalled].join(' · '));
}
