import { GLUTEN_GRAINS } from '../ingredients/glutenGrains';

/** Words as the matcher sees them: lower case, without accents and marks, in the singular, one spelling of two. */
const SPELLING: Readonly<Record<string, string>> = {
  fiber: 'fibre', yogurt: 'yoghurt', soy: 'soya', tef: 'teff', leaves: 'leaf', hazelnuts: 'hazelnut',
  gelatin: 'gelatine', molasses: 'molasse', whites: 'white', yolks: 'yolk', corn: 'maize', psillium: 'psyllium',
  psylium: 'psyllium', xantham: 'xanthan', xanthum: 'xanthan', buckweat: 'buckwheat', quinoa: 'quinoa', potatoes: 'potato',
  tomatoes: 'tomato', flours: 'flour',
}; // prettier-ignore

export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/['’.]/g, '')
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .map((word) => {
      const spelled = Object.hasOwn(SPELLING, word) ? (SPELLING[word] ?? word) : word;
      return spelled.length > 3 && /[^su]s$/.test(spelled) ? spelled.slice(0, -1) : spelled;
    });
}

const set = (words: string): ReadonlySet<string> => new Set(words.split(' ').flatMap(wordsOf));

/** Words that say how a thing is prepared or how good it is, and never which thing it is. */
export const HARMLESS = set(
  'sifted warm warmed lukewarm tepid cold cool cooled chilled hot boiling melted softened room temperature temp fine finely ' +
    'freshly organic good quality best extra virgin unsalted unsweetened raw free range beaten lightly chopped toasted ' +
    'roasted certified gluten gf glutenfree pure the of a an to taste optional sea table iodised superfine stoneground ' +
    'packed level divided at about approximately approx your favourite favorite plus more for dusting greasing brushing ' +
    'sprinkling rolling pan bowl board kneading tin hand hands you on top with and separated whisked crumbled sieved filtered tap ' +
    'still mild runny clear refined cooking dough loaf main ml g each as needed if desired some few bit little well shaken ' +
    'peeled pitted drained rinsed dry dried wholegrain whole grain strong plain natural full fat food grade baking small medium large size sized so or-so',
);

/** Words of grains with gluten: a line that holds one is never matched in silence. */
export const GLUTEN_WORDS = set(GLUTEN_GRAINS.join(' '));
