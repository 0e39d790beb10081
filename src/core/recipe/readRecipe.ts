import { FORMULA_LIMITS, type StageKind } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';
import { isPlain } from '../plainText';
import { ok, refuse, type Result } from '../result';
import { tokensOf } from '../quantity/amount';
import type { MeasureSystem } from '../quantity/measures';
import { phraseAt } from '../quantity/phrase';
import { matchIngredient } from './match';
import { readIngredientLine, type IngredientLine } from './readLine';
import { heatContradictions, readSteps, type HeatContradiction } from './readStep';

export const RECIPE_LIMITS = { letters: 40_000, lines: 600, lineLength: 3000 } as const;

/** What each line of the text was taken for; every line that is not blank has its place. */
export type LineRole = 'title' | 'heading' | 'yield' | 'ingredient' | 'step' | 'note';

export interface SourceLine {
  /** Counted from 1, as in the text. */
  readonly number: number;
  readonly text: string;
  readonly role: LineRole;
}

export interface RecipePart {
  readonly name: string;
  readonly kind: StageKind;
  readonly items: readonly (IngredientLine & { readonly number: number })[];
}

export interface RecipeReading {
  readonly title: string | null;
  readonly lines: readonly SourceLine[];
  readonly parts: readonly RecipePart[];
  readonly steps: readonly MethodStep[];
  readonly yieldText: string | null;
  /** Lines that are neither ingredient nor method: they go to "about it". */
  readonly notes: readonly string[];
  readonly contradictions: readonly (HeatContradiction & { readonly number: number })[];
}

const METHOD =
  /^(?:the )?(?:method|directions?|instructions?|preparation|steps?|procedure|how to(?: make| bake)?.*|to make|baking)\s*:?$/i;
const INGREDIENTS = /^(?:the )?(?:ingredients?|you(?: will|['’]ll) need|what you need|formula)\b.{0,20}$/i;
const NOTES = /^(?:notes?|tips?|storage|variations?|hints?)\b.{0,20}$/i;
const YIELD = /^(?:makes?|yields?|serves|servings?|for(?=\s+\d))\b[^.]{0,60}?\d[^.]{0,40}$/i;

const KINDS: readonly (readonly [StageKind, RegExp])[] = [
  ['topping', /\b(?:topp?ing|glaze|wash|brush|finish|filling|sauce|garnish|on top|sprinkl)/i],
  ['starter', /\b(?:starter|levain|sponge|poolish|pre-?ferment|sourdough|leaven)\b/i],
  ['scald', /\b(?:scald|roux|tangzhong|porridge)\b/i],
  ['soaker', /\bsoak/i],
  ['gel', /\bgel\b/i],
  ['bloom', /\b(?:bloom|yeast mix|yeast water)/i],
  ['late', /\b(?:late|add[- ]ins?|mix[- ]ins?|fold in|inclusions)\b/i],
];

const stageKindOf = (heading: string): StageKind =>
  KINDS.find(([, pattern]) => pattern.test(heading))?.[0] ?? 'main';

const startsWithAmount = (text: string): boolean => {
  const tokens = tokensOf(text.slice(0, 60));
  return tokens[0]?.amount !== null && tokens[0] !== undefined && phraseAt(tokens, 0) !== null;
};
const hasUnitAmount = (text: string): boolean => {
  const tokens = tokensOf(text.slice(0, 160));
  return tokens.some(
    (token, at) =>
      token.amount && phraseAt(tokens, at)?.terms.some((term) => term.unit && term.unit.kind !== 'count'),
  );
};
const isSentence = (text: string): boolean =>
  text.length > 90 || (/[.!]$/.test(text) && text.split(/\s+/).length > 6) || /[.!?]\s+\p{Lu}/u.test(text);

const bare = (text: string): string =>
  text
    .replace(/^\s*#{1,6}\s*/, '')
    .replace(/\*\*|__/g, '')
    // marks that were protected from markdown
    .replace(/\\([\\`*_[\]<>|#])/g, '$1')
    .trim();
/** "1. Mix", "2) Rest", "Step 3: Bake" */
const NUMBERED = /^(?:step\s*\d{1,2}\s*[:.)–-]?|\d{1,2}\s*[.)])\s+(?=\D)/i;

function isHeading(raw: string, text: string): boolean {
  if (/^\s*#{1,6}\s+\S/.test(raw)) return true;
  if (/:\s*$/.test(text) && text.length < 60 && !hasUnitAmount(text)) return true;
  if (
    /^(?:for the|to finish|topping|filling|glaze)\b/i.test(text) &&
    text.length < 40 &&
    !hasUnitAmount(text)
  )
    return true;
  // a line of its own between bold marks
  return /^\s*(?:\*\*|__)[^*_]{2,50}(?:\*\*|__)\s*:?\s*$/.test(raw) && !hasUnitAmount(text);
}

const TABLE_RULE = /^[\s|:+=_-]+$/;
const TABLE_HEAD = /^\|?\s*(?:ingredients?|what|item)\s*[|\t,;]/i;

/**
 * Reads a pasted recipe: a title, parts with their sub-headings, ingredients in any layout, the method, the yield, notes.
 * Nothing falls away in silence: each line that is not blank is in `lines` with what it was taken for, and an ingredient that
 * is not understood is there with its question.
 *
 * @param newId gives a new local id for each step
 * @returns the reading; `required` for an empty text, `tooLong` / `tooMany` beyond {@link RECIPE_LIMITS}, `control` for hidden
 *   characters, each with the line's number as its path
 */
export function readRecipe(
  text: string,
  book: IngredientBook,
  system: MeasureSystem,
  newId: () => string,
): Result<RecipeReading> {
  if (text.length > RECIPE_LIMITS.letters) return refuse('tooLong', 'text', { max: RECIPE_LIMITS.letters });
  const raw = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .replace(/[\u00a0\u2007\u202f]/g, ' ')
    .split('\n');
  if (raw.length > RECIPE_LIMITS.lines) return refuse('tooMany', 'text', { max: RECIPE_LIMITS.lines });
  for (const [index, line] of raw.entries()) {
    if (line.length > RECIPE_LIMITS.lineLength)
      return refuse('tooLong', `line.${index + 1}`, { max: RECIPE_LIMITS.lineLength });
    if (!isPlain(line, true)) return refuse('control', `line.${index + 1}`);
  }

  const lines: SourceLine[] = [];
  const parts: { name: string; kind: StageKind; items: (IngredientLine & { number: number })[] }[] = [];
  const steps: MethodStep[] = [];
  const notes: string[] = [];
  const contradictions: (HeatContradiction & { number: number })[] = [];
  let title: string | null = null;
  let yieldText: string | null = null;
  let section: 'start' | 'ingredients' | 'method' | 'notes' = 'start';
  const part = () => {
    if (parts.length === 0) parts.push({ name: '', kind: 'main', items: [] });
    return parts[parts.length - 1] as (typeof parts)[number];
  };

  for (const [index, rawLine] of raw.entries()) {
    const number = index + 1;
    const line = bare(rawLine);
    if (line === '' || TABLE_RULE.test(line)) continue;
    const put = (role: LineRole) => lines.push({ number, text: line, role });
    contradictions.push(...heatContradictions(line).map((found) => ({ ...found, number })));
    const bulletless = line.replace(/^(?:[-–—*•·]|\[[ x]?\])\s+/i, '');
    if (METHOD.test(line)) {
      section = 'method';
      put('heading');
    } else if (INGREDIENTS.test(line) && !startsWithAmount(line)) {
      section = 'ingredients';
      put('heading');
    } else if (NOTES.test(line) && line.length < 40) {
      section = 'notes';
      put('heading');
    } else if (TABLE_HEAD.test(line) && section !== 'method') {
      section = 'ingredients';
      put('heading');
    } else if (YIELD.test(line) && !isSentence(line) && yieldText === null && section !== 'method') {
      yieldText = line;
      put('yield');
    } else if (section === 'notes') {
      notes.push(line);
      put('note');
    } else if (
      (isHeading(rawLine, line) || standsAlone(line, raw, index, book)) &&
      !(section === 'start' && title === null && /^\s*#\s/.test(rawLine))
    ) {
      const name = line.replace(/:\s*$/, '');
      // a heading in the method names a stretch of work, unless what it announces are amounts again
      const next =
        raw
          .slice(index + 1)
          .map(bare)
          .find((each) => each !== '') ?? '';
      const announces =
        startsWithAmount(next.replace(/^[-–—*•·]\s+/, '')) && !NUMBERED.test(next) && !isSentence(next);
      if (section === 'method' && !announces) {
        notes.push(name);
        put('heading');
        continue;
      }
      section = 'ingredients';
      if (name.length > 40) notes.push(name);
      parts.push({ name: name.slice(0, 40), kind: stageKindOf(name), items: [] });
      put('heading');
    } else if (section === 'method' || (NUMBERED.test(line) && !startsAsAmountLine(line))) {
      section = 'method';
      const sentence = line.replace(NUMBERED, '').replace(/^[-–—*•·]\s+/, '');
      steps.push(...readSteps(sentence, newId));
      put('step');
    } else if (
      section === 'start' &&
      title === null &&
      !startsWithAmount(bulletless) &&
      !hasUnitAmount(bulletless)
    ) {
      title = line.slice(0, FORMULA_LIMITS.nameLength);
      if (line.length > FORMULA_LIMITS.nameLength) notes.push(line);
      put('title');
    } else if (section === 'start' && !startsWithAmount(bulletless) && !hasUnitAmount(bulletless)) {
      notes.push(line);
      put('note');
    } else if (isSentence(bulletless) && !startsWithAmount(bulletless)) {
      // the method begins without a heading
      section = 'method';
      steps.push(...readSteps(bulletless, newId));
      put('step');
    } else {
      section = 'ingredients';
      part().items.push({ ...readIngredientLine(line, book, system), number });
      put('ingredient');
    }
  }
  if (lines.length === 0) return refuse('required', 'text');
  return ok({
    title,
    lines,
    parts: parts.filter(({ items }) => items.length > 0),
    steps,
    yieldText,
    notes,
    contradictions,
  });
}

/** "1.5 cups" and "2. 300 g flour" begin with a number too: an amount with a unit right behind it is no numbering. */
function startsAsAmountLine(line: string): boolean {
  const rest = line.replace(NUMBERED, '');
  return startsWithAmount(rest) && !isSentence(rest);
}

/** "Dry ingredients": a few words without an amount, after a gap and above amounts, that name no ingredient. */
function standsAlone(line: string, raw: readonly string[], index: number, book: IngredientBook): boolean {
  if (line.length > 40 || /\d/.test(line) || index === 0 || (raw[index - 1] ?? '').trim() !== '')
    return false;
  const next = bare(raw[index + 1] ?? '').replace(/^[-–—*•·]\s+/, '');
  return startsWithAmount(next) && !NUMBERED.test(next) && matchIngredient(line, book).kind === 'unknown';
}
