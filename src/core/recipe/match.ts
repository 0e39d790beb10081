import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { GLUTEN_WORDS, HARMLESS, wordsOf } from './words';

export type Match =
  | { readonly kind: 'sure'; readonly ingredientId: string }
  /** One or several could be meant, likeliest first. */
  | { readonly kind: 'which'; readonly candidates: readonly string[] }
  /** Something with gluten in its name. */
  | { readonly kind: 'gluten' }
  | { readonly kind: 'unknown' };

/** Names that mean more than one thing, and names that recipes use and labels don't. Several ids: it has to be asked. */
const BLENDS = ['bought-blend-plain', 'bought-blend-gum'] as const;
const ALSO: readonly (readonly [string, ...string[]])[] = [
  ['yeast', 'instant-yeast', 'active-dry-yeast', 'fresh-yeast'],
  ['dry yeast', 'active-dry-yeast', 'instant-yeast'],
  ['dried yeast', 'active-dry-yeast', 'instant-yeast'],
  ['bread machine yeast', 'instant-yeast'],
  ['instant dry yeast', 'instant-yeast'],
  ['instant dried yeast', 'instant-yeast'],
  ['fast action dried yeast', 'instant-yeast'],
  ['easy bake yeast', 'instant-yeast'],
  ['active yeast', 'active-dry-yeast'],
  ['active dried yeast', 'active-dry-yeast'],
  ['oil', 'olive-oil', 'sunflower-oil', 'rapeseed-oil'],
  ['neutral oil', 'sunflower-oil', 'rapeseed-oil'],
  ['sunflower oil', 'sunflower-oil'],
  ['milk', 'whole-milk', 'skimmed-milk'],
  ['plant milk', 'oat-drink-certified', 'soya-drink', 'almond-drink', 'rice-drink'],
  ['psyllium', 'psyllium-husk', 'psyllium-powder'],
  ['whole psyllium husk', 'psyllium-husk'],
  ['psyllium husk powder', 'psyllium-powder'],
  ['powdered psyllium husk', 'psyllium-powder'],
  ['psyllium husk flake', 'psyllium-husk'],
  ['corn flour', 'maize-starch', 'maize-flour'],
  ['xanthan', 'xanthan'],
  ['guar', 'guar'],
  ['linseed', 'ground-linseed', 'linseed-whole'],
  ['flaxseed', 'ground-linseed', 'linseed-whole'],
  ['flax', 'ground-linseed', 'linseed-whole'],
  ['ground flax', 'ground-linseed'],
  ['ground flax seed', 'ground-linseed'],
  ['golden linseed', 'linseed-whole', 'ground-linseed'],
  ['egg', 'egg-whole'],
  ['quail egg', 'quail-egg'],
  ['duck egg', 'egg-whole', 'quail-egg'],
  ['egg replacer', 'aquafaba'],
  ['potato starch flour', 'potato-starch', 'potato-flour'],
  ['tapioca', 'tapioca-starch', 'sour-tapioca-starch'],
  ['tapioca starch flour', 'tapioca-starch'],
  ['rice flour', 'white-rice-flour'],
  ['rice', 'white-rice-flour', 'brown-rice-flour'],
  ['millet', 'millet-flour'],
  ['sorghum', 'sorghum-flour'],
  ['teff', 'teff-flour'],
  ['brown teff flour', 'teff-flour'],
  ['buckwheat', 'buckwheat-flour', 'light-buckwheat-flour'],
  ['oat flour', 'oat-flour-certified'],
  ['oat', 'rolled-oats-certified', 'oat-flour-certified'],
  ['rolled oat', 'rolled-oats-certified'],
  ['oat bran', 'oat-bran-certified'],
  ['oat milk', 'oat-drink-certified'],
  ['almond flour', 'ground-almonds'],
  ['chia', 'chia'],
  ['poppy', 'poppy-seed'],
  ['sesame', 'sesame-seed'],
  ['sesame seed', 'sesame-seed'],
  ['hemp heart', 'hemp-seed'],
  ['soda', 'baking-soda', 'sparkling-water'],
  ['bicarbonate soda', 'baking-soda'],
  ['vinegar', 'cider-vinegar', 'white-vinegar'],
  ['apple vinegar', 'cider-vinegar'],
  ['lemon', 'lemon-juice'],
  ['starter', 'rice-starter', 'sorghum-starter', 'buckwheat-starter'],
  ['sourdough starter', 'rice-starter', 'sorghum-starter', 'buckwheat-starter'],
  ['brown rice starter', 'rice-starter'],
  ['rice starter', 'rice-starter'],
  ['sorghum starter', 'sorghum-starter'],
  ['buckwheat starter', 'buckwheat-starter'],
  ['crushed tomato', 'crushed-tomatoes'],
  ['chopped tomato', 'crushed-tomatoes'],
  ['cheese', 'hard-cheese', 'quark'],
  ['grated cheese', 'hard-cheese'],
  ['cream', 'whipping-cream'],
  ['yoghurt', 'plain-yoghurt'],
  ['greek yoghurt', 'plain-yoghurt', 'quark'],
  ['syrup', 'maple-syrup', 'rice-syrup', 'glucose-syrup'],
  ['margarine', 'plant-block'],
  ['treacle', 'black-treacle'],
  ['molasses', 'black-treacle'],
  ['flour', 'white-rice-flour', 'brown-rice-flour'],
  ['flour blend', ...BLENDS],
  ['flour mix', ...BLENDS],
  ['gluten free flour', ...BLENDS],
  ['gluten free blend', ...BLENDS],
  ['gluten free mix', ...BLENDS],
  ['gluten free flour blend', ...BLENDS],
  ['gluten free flour mix', ...BLENDS],
  ['flour blend with gum', 'bought-blend-gum'],
  ['flour blend without gum', 'bought-blend-plain'],
  ['gluten free flour blend with gum', 'bought-blend-gum'],
  ['gluten free flour blend without gum', 'bought-blend-plain'],
  ['gf flour', ...BLENDS],
  ['gf flour blend', ...BLENDS],
  ['starch', 'tapioca-starch', 'potato-starch', 'maize-starch'],
  ['chocolate chip', 'chocolate'],
  ['walnut', 'walnuts'],
  ['olive', 'olives'],
  ['raisin', 'raisins'],
  ['rosemary', 'dried-herbs'],
  ['caraway', 'caraway'],
  ['fennel', 'bread-spice'],
  ['cardamom', 'ground-cardamom'],
  ['cinnamon', 'cinnamon'],
  ['carbonated water', 'sparkling-water'],
  ['mineral water', 'sparkling-water', 'water'],
  ['psyllium seed', 'psyllium-husk', 'psyllium-powder'],
  ['caster sugar', 'sugar'],
  ['demerara sugar', 'brown-sugar'],
  ['kosher salt', 'salt'],
  ['arrowroot', 'arrowroot'],
];

interface Alias {
  readonly words: readonly string[];
  readonly ids: readonly string[];
}

/** Names of a library entry as people write them: "Baker’s yeast, compressed" also the other way round. */
function namesOf(ingredient: Ingredient): string[] {
  return [ingredient.name, ...ingredient.alsoCalled].flatMap((name) => {
    const [head = '', ...tail] = name.split(/,\s*/);
    return tail.length > 0 ? [name, `${tail.join(' ')} ${head}`, head] : [name];
  });
}

const cache = new WeakMap<IngredientBook, readonly Alias[]>();

function aliasesOf(book: IngredientBook): readonly Alias[] {
  const known = cache.get(book);
  if (known) return known;
  const byWords = new Map<string, Set<string>>();
  const put = (name: string, ids: readonly string[]) => {
    const key = wordsOf(name).join(' ');
    if (key === '') return;
    const set = byWords.get(key) ?? new Set<string>();
    ids.forEach((id) => set.add(id));
    byWords.set(key, set);
  };
  for (const ingredient of book.values()) namesOf(ingredient).forEach((name) => put(name, [ingredient.id]));
  // what is stated here is final: it says both what is sure and what is not
  for (const [name, ...ids] of ALSO) {
    const there = ids.filter((id) => book.has(id));
    byWords.delete(wordsOf(name).join(' '));
    if (there.length > 0) put(name, there);
  }
  const aliases = [...byWords]
    .map(([words, ids]) => ({ words: words.split(' '), ids: [...ids] }))
    .sort((a, b) => b.words.length - a.words.length || b.words.join('').length - a.words.join('').length);
  cache.set(book, aliases);
  return aliases;
}

const findIn = (words: readonly (string | null)[], alias: readonly string[]): number => {
  for (let at = 0; at + alias.length <= words.length; at++) {
    if (alias.every((word, offset) => words[at + offset] === word)) return at;
  }
  return -1;
};

/**
 * Which ingredient a name means. Sure only when every word that could say which one it is has been understood: a word left
 * over that is not known to be harmless makes it a question, never a guess.
 */
export function matchIngredient(name: string, book: IngredientBook): Match {
  const words: (string | null)[] = wordsOf(name);
  const raw = new Set(words);
  const glutenFreeStarch = raw.has('wheat') && raw.has('starch') && raw.has('gluten') && raw.has('free');
  if (!glutenFreeStarch && words.some((word) => word !== null && GLUTEN_WORDS.has(word)))
    return { kind: 'gluten' };
  if (
    /\bself[- ]?rais|\ball[- ]?purpose\b|\bap flour\b|\bbread flour\b|\b(?:plain|strong|white|cake|00) flour\b/i.test(
      name,
    )
  ) {
    // a bought blend under its old name: with gum or without has to be asked
    const blends = (raw.has('gluten') && raw.has('free')) || raw.has('gf') || raw.has('glutenfree');
    const candidates = BLENDS.filter((id) => book.has(id));
    return blends && candidates.length > 0 ? { kind: 'which', candidates } : { kind: 'gluten' };
  }
  // corn flour is starch to some and flour to others; maize flour is flour to all
  if (/^\W*(?:fine(?:ly ground)? |yellow |white )?maize flour\W*$/i.test(name) && book.has('maize-flour'))
    return { kind: 'sure', ingredientId: 'maize-flour' };
  const found: (readonly string[])[] = [];
  for (const alias of aliasesOf(book)) {
    const at = findIn(words, alias.words);
    if (at < 0) continue;
    found.push(alias.ids);
    alias.words.forEach((_, offset) => (words[at + offset] = null));
    if (found.length >= 4) break;
  }
  const ids = [...new Set(found.flat())];
  const first = found[0];
  if (!first) return { kind: 'unknown' };
  const stray = words.filter(
    (word): word is string => word !== null && !HARMLESS.has(word) && !/^\d+$/.test(word),
  );
  const [only] = first;
  if (found.length === 1 && first.length === 1 && only && stray.length === 0)
    return { kind: 'sure', ingredientId: only };
  return { kind: 'which', candidates: ids.slice(0, 6) };
}

/**
 * What else a name could mean for a remark made beside it: "rice flour (brown)" is not white rice flour. A remark's word counts where
 * another ingredient is called by it and otherwise only by words of the name. What is said not to be meant does not count.
 */
export function meantOtherwise(
  name: string,
  remark: string,
  ingredientId: string,
  book: IngredientBook,
): readonly string[] {
  const named = new Set(wordsOf(name));
  const mentioned = wordsOf(remark.replace(/\b(?:not|no|without|never)\b.*$/i, '')).filter(
    (word) => !HARMLESS.has(word),
  );
  const others = aliasesOf(book).filter(
    ({ words, ids }) =>
      !ids.includes(ingredientId) &&
      words.length > 1 &&
      words.some((word) => mentioned.includes(word)) &&
      words.every((word) => mentioned.includes(word) || named.has(word)) &&
      words.some((word) => named.has(word)),
  );
  return [...new Set(others.flatMap(({ ids }) => ids))].slice(0, 5);
}
