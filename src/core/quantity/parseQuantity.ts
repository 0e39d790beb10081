import type { Ingredient } from '../ingredients/ingredient';
import { refuse, type Result } from '../result';
import { parseDecimal } from '../units/decimal';
import { tokensOf } from './amount';
import { phraseAt, type Phrase } from './phrase';
import { weigh, type Weighed, type WeighingContext } from './weigh';

const bare = (value: number): Phrase => ({
  terms: [{ amount: { low: value, high: value }, unit: null, size: null, fill: null, each: null }],
  from: 0,
  to: 1,
});

/**
 * Reads a whole cell as a quantity of an ingredient: "350", "1 1/2 cups", "2 large eggs", "¾ tsp", "7 g", "12 %", "a packet",
 * "1 lb 4 oz", "2 x 7 g packets". Words that name the ingredient itself may follow and are passed over.
 *
 * @returns grams with an 80 % range; `noReading` when something in the text cannot be a quantity of this ingredient,
 *   `unknownUnit` with the word, `noShareWithoutFlour` for a percentage without a base
 */
export function parseQuantity(
  text: string,
  ingredient: Ingredient | null,
  context: WeighingContext,
): Result<Weighed> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse('required', 'massG');
  if (trimmed.length > 60) return refuse('tooLong', 'massG', { max: 60 });
  // one plain number keeps the cell's own strict reading: "1,200" is refused there and here
  const plain = parseDecimal(trimmed);
  if (plain.ok && plain.value <= 0) return refuse('tooSmall', 'massG', { min: 0.01 });
  // a bare number is the cell's unit even for eggs: "50" there has always been 50 g
  if (plain.ok && context.bareUnitG !== null) return weigh(bare(plain.value), null, context);
  if (/^[-−+]/.test(trimmed)) return refuse('notANumber', 'massG');
  const tokens = tokensOf(trimmed);
  const roughly = /^(?:about|ca|approx|circa|~)$/i.test(tokens[0]?.text ?? '') ? 1 : 0;
  const start = roughly === 1 && tokens[1]?.text === '.' ? 2 : roughly;
  const phrase = phraseAt(tokens, start);
  if (!phrase) return refuse(/^[\d.,]+$/.test(trimmed) ? 'notANumber' : 'noReading', 'massG');
  const own = new Set(
    [ingredient?.name ?? '', ...(ingredient?.alsoCalled ?? [])]
      .flatMap((name) => name.toLowerCase().split(/[^\p{L}]+/u))
      .flatMap((word) => [word, `${word}s`]),
  );
  const stray = tokens.slice(phrase.to).find((token) => !own.has(token.text.toLowerCase()));
  if (stray) return refuse('unknownUnit', 'massG', { unit: stray.text });
  return weigh(phrase, ingredient, context);
}
