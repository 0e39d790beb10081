import { GRAMS_PER_OUNCE, GRAMS_PER_POUND } from '../units/mass';

/** Whose cups, spoons and egg sizes a kitchen means when it says them. */
export const MEASURE_SYSTEMS = ['metric', 'us', 'imperial'] as const;
export type MeasureSystem = (typeof MEASURE_SYSTEMS)[number];

export type Unit =
  | { readonly kind: 'mass'; readonly word: string; readonly g: number }
  | {
      readonly kind: 'volume';
      readonly word: string;
      readonly ml: Readonly<Record<MeasureSystem, number>>;
      /** 80 % half-width of how people fill it, as a share: a jug is read, a cup is struck off, a pinch is a pinch. */
      readonly fill: number;
    }
  | { readonly kind: 'count'; readonly word: string }
  | { readonly kind: 'percent'; readonly word: '%' };

const alike = (ml: number): Record<MeasureSystem, number> => ({ metric: ml, us: ml, imperial: ml });
const mass = (word: string, g: number): Unit => ({ kind: 'mass', word, g });
const volume = (word: string, ml: Record<MeasureSystem, number>, fill: number): Unit => ({
  kind: 'volume',
  word,
  ml,
  fill,
});
const count = (word: string): Unit => ({ kind: 'count', word });

/**
 * US customary volumes: NIST Handbook 44, appendix C (cup 236.588 ml). Metric cup 250 ml, spoons 15 and 5 ml: Commonwealth
 * kitchen standards. Imperial cup: ten fluid ounces (half a UK pint), 284.131 ml; Britain's spoons are metric today.
 */
const CUP = volume('cup', { metric: 250, us: 236.588, imperial: 284.131 }, 0.04);
const TABLESPOON = volume('tbsp', { metric: 15, us: 14.787, imperial: 15 }, 0.1);
const TEASPOON = volume('tsp', { metric: 5, us: 4.929, imperial: 5 }, 0.1);
const FLUID_OUNCE = volume('fl oz', { metric: 28.413, us: 29.574, imperial: 28.413 }, 0.03);
const PINT = volume('pint', { metric: 568.261, us: 473.176, imperial: 568.261 }, 0.03);
const QUART = volume('quart', { metric: 1136.52, us: 946.353, imperial: 1136.52 }, 0.03);

/** Words for units. Where case matters ("T" is a tablespoon, "t" a teaspoon) the exact word is looked up first. */
const EXACT: Readonly<Record<string, Unit>> = { T: TABLESPOON, Tb: TABLESPOON, t: TEASPOON, C: CUP };

const UNITS: Readonly<Record<string, Unit>> = Object.fromEntries(
  (
    [
      [mass('g', 1), 'g gr grm grms gm gms gram grams gramme grammes'],
      [mass('kg', 1000), 'kg kgs kilo kilos kilogram kilograms'],
      [mass('mg', 0.001), 'mg milligram milligrams'],
      [mass('oz', GRAMS_PER_OUNCE), 'oz ozs ounce ounces'],
      [mass('lb', GRAMS_PER_POUND), 'lb lbs pound pounds'],
      [CUP, 'c cup cups'],
      [TABLESPOON, 'tbsp tbsps tbs tblsp tblsps tbl tablespoon tablespoons tablespoonful tablespoonfuls'],
      [TEASPOON, 'tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls'],
      [volume('dessertspoon', alike(10), 0.12), 'dsp dstsp dessertspoon dessertspoons'],
      [FLUID_OUNCE, 'floz fl.oz fluidounce fluidounces'],
      [PINT, 'pt pint pints'],
      [QUART, 'qt qts quart quarts'],
      [volume('ml', alike(1), 0.01), 'ml mls millilitre millilitres milliliter milliliters cc'],
      [volume('cl', alike(10), 0.01), 'cl centilitre centilitres centiliter centiliters'],
      [volume('dl', alike(100), 0.02), 'dl decilitre decilitres deciliter deciliters'],
      [volume('l', alike(1000), 0.01), 'l litre litres liter liters ltr'],
      [volume('pinch', alike(0.31), 0.5), 'pinch pinches'],
      [volume('dash', alike(0.62), 0.5), 'dash dashes'],
      [volume('drop', alike(0.05), 0.4), 'drop drops'],
      [volume('handful', alike(60), 0.4), 'handful handfuls'],
      [volume('knob', alike(16), 0.4), 'knob knobs'],
      [volume('glug', alike(20), 0.4), 'glug glugs splash splashes drizzle'],
      [count('mug'), 'mug mugs'],
      [count('scoop'), 'scoop scoops scoopful scoopfuls'],
      [count('glass'), 'glass glasses'],
      [count('ladle'), 'ladle ladles ladleful ladlefuls'],
      [count('packet'), 'packet packets pkt pkts pkg package packages sachet sachets envelope envelopes'],
      [count('stick'), 'stick sticks'],
      [count('cube'), 'cube cubes block blocks'],
      [count('tin'), 'tin tins can cans'],
      [count('leaf'), 'leaf leaves sheet sheets'],
      [count('piece'), 'piece pieces'],
      [{ kind: 'percent', word: '%' }, '% percent pct'],
    ] as [Unit, string][]
  ).flatMap(([unit, words]) => words.split(' ').map((word) => [word, unit])),
);

/** The unit a word means, null for a word that is none. "fl oz" is joined to "floz" by the reader. */
export function unitOf(word: string): Unit | null {
  const bare = word.replace(/\.$/, '');
  const lower = bare.toLowerCase();
  return EXACT[bare] ?? (Object.hasOwn(UNITS, lower) ? (UNITS[lower] ?? null) : null);
}

/** How full a spoon or cup is when somebody says so: factor and what it adds to the doubt. */
export const FILLS: Readonly<Record<string, { readonly factor: number; readonly doubt: number }>> = {
  heaped: { factor: 1.6, doubt: 0.2 },
  heaping: { factor: 1.6, doubt: 0.2 },
  rounded: { factor: 1.35, doubt: 0.15 },
  generous: { factor: 1.1, doubt: 0.06 },
  scant: { factor: 0.9, doubt: 0.05 },
  level: { factor: 1, doubt: -0.04 },
};
