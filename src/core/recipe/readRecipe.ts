import { FORMULA_LIMITS, type StageKind } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';
import { isPlain } from '../plainText';
import { ok, refuse, type Result } from '../result';
import { tokensOf } from '../quantity/amount';
import type { MeasureSystem } from '../quantity/measures';
import type { OwnMeasure } from '../quantity/ownMeasures';
import { phraseAt } from '../quantity/phrase';
import { matchIngredient } from './match';
import { ASIDE, INLINE_PART, purposeLine, stageKindOf } from './partKinds';
import { bareGrams, tableGrams } from './tables';
import { readIngredientLine, type IngredientLine } from './readLine';
import { heatContradictions, type HeatContradiction } from './method/contradictions';
import { startsAction } from './method/clauses';
import type { StepAsk } from './method/draft';
import { readMethod, type Paragraph } from './method/readMethod';
import { yieldIn, type RecipeYield } from './yieldIn';

const RECIPE_LIMITS = { letters: 40_000, lines: 600, lineLength: 3000 } as const;

/** What each line of the text was taken for; every line that is not blank has its place. */
export const LINE_ROLES = ['title', 'heading', 'yield', 'ingredient', 'step', 'note'] as const;
export type LineRole = (typeof LINE_ROLES)[number];

export interface SourceLine {
  /** Counted from 1, as in the text. */
  readonly number: number;
  readonly text: string;
  readonly role: LineRole;
}

interface RecipePart {
  readonly name: string;
  readonly kind: StageKind;
  readonly items: readonly (IngredientLine & { readonly number: number })[];
}

export interface RecipeReading {
  readonly title: string | null;
  readonly lines: readonly SourceLine[];
  readonly parts: readonly RecipePart[];
  readonly steps: readonly MethodStep[];
  /** What the method leaves open: the likeliest reading stands in the step. */
  readonly stepAsks: readonly StepAsk[];
  /** Into how many pieces, and how heavy, as far as title, yield and method say. */
  readonly makes: RecipeYield;
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

/** "1 Mix 8 min": figures without a mark before what is done. */
const BARE_NUMBER = /^\d{1,2}\s+(?=\p{Lu})/u;
const isBareNumbered = (line: string): boolean =>
  BARE_NUMBER.test(line) && startsAction(line.replace(BARE_NUMBER, '')) && !hasUnitAmount(line.slice(0, 14));
const isBareStep = (line: string): boolean => /^1\s/.test(line) && isBareNumbered(line);
/** A method that begins without a heading: "1 Butter stick" alone is none, "2 …" must be done too. */
const beginsBareSteps = (raw: readonly string[], index: number): boolean => {
  const next =
    raw
      .slice(index + 1)
      .map(bare)
      .find(Boolean) ?? '';
  return isBareStep(bare(raw[index] ?? '')) && /^2\s/.test(next) && isBareNumbered(next);
};
/** "Three baguettes": a title, though it begins with a number. */
const COUNTS_BREADS =
  /^(?:\d{1,2}|one|two|three|four|six|eight|ten|twelve)\s+(?:[\w-]+\s+){0,3}(?:loaves|rolls|buns|bagels|rings|baguettes|pizzas|flatbreads|breads|batons|knots)$/i;

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

type Section = 'start' | 'ingredients' | 'method' | 'notes';

/** What a line is, in the order in which it is asked. */
type LineKind =
  | 'methodHead'
  | 'ingredientsHead'
  | 'notesHead'
  | 'yield'
  | 'note'
  | 'stretchHead'
  | 'partHead'
  | 'step'
  | 'title'
  | 'preface'
  | 'bareStep'
  | 'ingredient';

/** A line's kind by the baker's own word. */
function declaredKind(role: LineRole | undefined, section: Section): LineKind | null {
  switch (role) {
    case undefined:
      return null;
    case 'heading':
      return section === 'method' ? 'stretchHead' : 'partHead';
    default:
      return role;
  }
}

const ROLE_OF: Readonly<Record<LineKind, LineRole>> = {
  methodHead: 'heading',
  ingredientsHead: 'heading',
  notesHead: 'heading',
  stretchHead: 'heading',
  partHead: 'heading',
  yield: 'yield',
  note: 'note',
  preface: 'note',
  title: 'title',
  step: 'step',
  bareStep: 'step',
  ingredient: 'ingredient',
};

const SECTION_AFTER: Readonly<Partial<Record<LineKind, Section>>> = {
  methodHead: 'method',
  step: 'method',
  bareStep: 'method',
  ingredientsHead: 'ingredients',
  partHead: 'ingredients',
  ingredient: 'ingredients',
  notesHead: 'notes',
};

interface Place {
  readonly raw: readonly string[];
  readonly index: number;
  /** The line without its marks. */
  readonly line: string;
  readonly section: Section;
  readonly titled: boolean;
  readonly yielded: boolean;
}

const BULLET = /^(?:[-–—*•·]|\[[ x]?\])\s+/i;
const DASH = /^[-–—*•·]\s+/;

/** Whether the next line that is not blank is an amount of something: then a heading above it names a part. */
function announcesAmounts({ raw, index }: Place): boolean {
  const next =
    raw
      .slice(index + 1)
      .map(bare)
      .find((each) => each !== '') ?? '';
  return startsWithAmount(next.replace(DASH, '')) && !NUMBERED.test(next) && !isSentence(next);
}

function kindOf(place: Place, book: IngredientBook): LineKind {
  const { raw, index, line, section, titled, yielded } = place;
  const rawLine = raw[index] ?? '';
  const bulletless = line.replace(BULLET, '');
  const amount = startsWithAmount(bulletless);
  if (METHOD.test(line)) return 'methodHead';
  if (INGREDIENTS.test(line) && !startsWithAmount(line)) return 'ingredientsHead';
  if (NOTES.test(line) && line.length < 40) return 'notesHead';
  if (TABLE_HEAD.test(line) && section !== 'method') return 'ingredientsHead';
  if (YIELD.test(line) && !isSentence(line) && !yielded && section !== 'method') return 'yield';
  if (section === 'notes' || /^(?:note|tip|nb|hint|remark)\s*:/i.test(line)) return 'note';
  const titles = section === 'start' && !titled;
  // the first line, with a gap behind it, is what it is called, whatever figures are in it; not where it names an ingredient
  if (
    titles &&
    (COUNTS_BREADS.test(line) || (!amount && matchIngredient(line, book).kind === 'unknown')) &&
    raw.slice(0, index).every((each) => bare(each) === '') &&
    bare(raw[index + 1] ?? '') === '' &&
    index + 1 < raw.length
  )
    return 'title';
  const heads = isHeading(rawLine, line) || standsAlone(line, raw, index, book);
  if (heads && !(titles && /^\s*#\s/.test(rawLine)))
    // a heading in the method names a stretch of work, unless what it announces are amounts again
    return section === 'method' && !announcesAmounts(place) ? 'stretchHead' : 'partHead';
  if (
    section === 'method' ||
    beginsBareSteps(raw, index) ||
    (NUMBERED.test(line) && !startsAsAmountLine(line))
  )
    return 'step';
  if (!amount && startsAction(bulletless) && /\d\s?(?:min|h\b|hours?|°|C\b)/i.test(bulletless))
    return 'bareStep';
  if (section === 'start' && !amount && !hasUnitAmount(bulletless)) return titled ? 'preface' : 'title';
  // the method may begin without a heading
  return isSentence(bulletless) && !amount ? 'bareStep' : 'ingredient';
}

/** The lines of a text within its limits. */
function linesOf(text: string): Result<readonly string[]> {
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
  return ok(raw);
}

/** What the baker said of the text, and what the kitchen knows. */
export interface Told {
  readonly declared?: ReadonlyMap<number, LineRole>;
  readonly own?: readonly OwnMeasure[];
}

/**
 * Reads a pasted recipe: a title, parts with their sub-headings, ingredients in any layout, the method, the yield, notes.
 * Nothing falls away in silence: each line that is not blank is in `lines` with what it was taken for, and an ingredient that
 * is not understood is there with its question.
 *
 * @param newId gives a new local id for each step
 * @param told what a line is by the baker's own word, by its number; the kitchen's own measures
 * @returns the reading; `required` for an empty text, `tooLong` / `tooMany` beyond {@link RECIPE_LIMITS}, `control` for hidden
 *   characters, each with the line's number as its path
 */
export function readRecipe(
  text: string,
  book: IngredientBook,
  system: MeasureSystem,
  newId: () => string,
  { declared = new Map(), own = [] }: Told = {},
): Result<RecipeReading> {
  const cut = linesOf(text);
  if (!cut.ok) return cut;
  const raw = bareGrams(tableGrams(cut.value), book);
  const lines: SourceLine[] = [];
  const parts: { name: string; kind: StageKind; items: (IngredientLine & { number: number })[] }[] = [];
  const paragraphs: Paragraph[] = [];
  let aside = false;
  let bareNumbers = false;
  const notes: string[] = [];
  const contradictions: (HeatContradiction & { number: number })[] = [];
  let title: string | null = null;
  let yieldText: string | null = null;
  let section: Section = 'start';

  for (const [index, rawLine] of raw.entries()) {
    const number = index + 1;
    const line = bare(rawLine);
    if (line === '' || TABLE_RULE.test(line)) continue;
    contradictions.push(...heatContradictions(line).map((found) => ({ ...found, number })));
    const titled = title !== null;
    const place: Place = { raw, index, line, section, titled, yielded: yieldText !== null };
    const kind: LineKind = declaredKind(declared.get(number), section) ?? kindOf(place, book);
    section = SECTION_AFTER[kind] ?? section;
    lines.push({ number, text: line, role: ROLE_OF[kind] });
    const name = line.replace(/:\s*$/, '');
    if (kind === 'yield') yieldText = line;
    else if (kind === 'note' || kind === 'preface') notes.push(line);
    else if (kind === 'stretchHead') {
      aside = ASIDE.has(stageKindOf(name));
      notes.push(name);
    } else if (kind === 'methodHead') aside = false;
    else if (kind === 'partHead') {
      if (name.length > 40) notes.push(name);
      parts.push({ name: name.slice(0, 40), kind: stageKindOf(name), items: [] });
    } else if (kind === 'title') {
      title = line.slice(0, FORMULA_LIMITS.nameLength);
      if (line.length > FORMULA_LIMITS.nameLength) notes.push(line);
    } else if (kind === 'step') {
      bareNumbers ||= isBareStep(line);
      const words = line.replace(NUMBERED, '').replace(bareNumbers ? BARE_NUMBER : '', '');
      paragraphs.push({ text: words.replace(DASH, ''), aside });
    } else if (kind === 'bareStep') {
      paragraphs.push({ text: line.replace(BULLET, ''), aside });
    } else if (kind === 'ingredient') {
      if (parts.length === 0) parts.push({ name: '', kind: 'main', items: [] });
      // "For frying: 2 l oil": a part of one line; what follows is of the part before
      const inline = INLINE_PART.exec(line.replace(BULLET, '')) ?? purposeLine(line.replace(BULLET, ''));
      const of = inline ? stageKindOf(inline[1]) : 'main';
      if (inline && of !== 'main' && startsWithAmount(inline[2])) {
        parts.splice(-1, 0, {
          name: inline[1],
          kind: of,
          items: [{ ...readIngredientLine(inline[2], book, system, own), number }],
        });
      } else parts.at(-1)!.items.push({ ...readIngredientLine(line, book, system, own), number });
    }
  }
  if (lines.length === 0) return refuse('required', 'text');
  // in the order of the text
  const filled = parts
    .filter(({ items }) => items.length > 0)
    .sort((a, b) => a.items[0]!.number - b.items[0]!.number);
  const { steps, asks: stepAsks, divided, over } = readMethod(paragraphs, newId);
  notes.push(...over);
  const makes = yieldIn(
    title,
    yieldText,
    divided,
    lines.map((line) => line.text),
  );
  return ok({ title, lines, parts: filled, steps, stepAsks, makes, yieldText, notes, contradictions });
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
  const next = bare(raw[index + 1] ?? '').replace(DASH, '');
  const names = stageKindOf(line) !== 'main' && line.split(/\s+/).length <= 3;
  return (
    startsWithAmount(next) &&
    !NUMBERED.test(next) &&
    (names || matchIngredient(line, book).kind === 'unknown')
  );
}
