import type { IngredientBook } from '../ingredients/ingredientBook';
import { tokensOf, type Token } from '../quantity/amount';
import type { MeasureSystem } from '../quantity/measures';
import type { OwnMeasure } from '../quantity/ownMeasures';
import { phraseAt, type Phrase } from '../quantity/phrase';
import { weigh, type Weighed } from '../quantity/weigh';
import { matchIngredient, meantOtherwise, type Match } from './match';

export type Asking =
  /** Which ingredient is meant. */
  | 'which'
  | 'unknown'
  /** A grain with gluten is named. */
  | 'gluten'
  /** Something that is safe only when certified, and the line does not say it is. */
  | 'certified'
  /** No amount, or one that can't be weighed. */
  | 'howMuch'
  /** Two amounts that are not the same. */
  | 'disagree'
  /** More than one ingredient or amount on the line. */
  | 'several';

/** One amount on the line, in the words it was written, and what it weighs. */
interface Reading {
  readonly written: string;
  readonly weighed: Weighed;
}

export interface IngredientLine {
  readonly text: string;
  readonly ingredientId: string | null;
  readonly candidates: readonly string[];
  readonly readings: readonly Reading[];
  /** The amount taken: the most exact of the readings. */
  readonly weighed: Weighed | null;
  /** A baker's percentage printed beside the weight, to be checked against the sheet; or alone. */
  readonly percent: number | null;
  /** What is said about the ingredient: "sifted", "at room temperature". */
  readonly note: string;
  readonly asks: readonly Asking[];
}

const BULLET = /^\s*(?:[-–—*•·◦▪☐☑✓]|\[[ x]?\]|\|)\s*/i;

/** Signs between amounts of the same thing: brackets, slashes, "or", and what tables draw. */
const BETWEEN = /^[()[\]/|,;:=–—\-~.]$/;

interface Found {
  readonly phrase: Phrase;
  readonly written: string;
}

/** All amounts of a line. A number that no unit follows counts only where the line starts with it or ends in it. */
function amountsIn(text: string, tokens: readonly Token[]): Found[] {
  const found: Found[] = [];
  for (let at = 0; at < tokens.length;) {
    const phrase = tokens[at]?.amount ? phraseAt(tokens, at) : null;
    const last = phrase ? tokens[phrase.to - 1] : undefined;
    if (!phrase || !last) {
      at += 1;
      continue;
    }
    const bare = phrase.terms.every((term) => !term.unit && !term.each && !term.size);
    if (!bare || at === 0 || phrase.to === tokens.length) {
      found.push({ phrase, written: text.slice(tokens[at]?.from, last.to).trim() });
    }
    at = phrase.to;
  }
  return found;
}

/**
 * A name of the book written out whole, comma and all ("Cream, 35 % fat"), behind the amount or before it. What follows it is
 * read on its own, so that no part of a name is taken for an amount or for a remark.
 */
function wholeNameIn(line: string, book: IngredientBook): { ingredientId: string; rest: string } | null {
  const tokens = tokensOf(line.slice(0, 80));
  const phrase = tokens[0]?.amount ? phraseAt(tokens, 0) : null;
  const at = phrase ? (tokens[phrase.to]?.from ?? line.length) : 0;
  const from = line.slice(at).toLowerCase();
  let best: { ingredientId: string; length: number } | null = null;
  for (const { id, name } of book.values()) {
    const fits =
      from.startsWith(name.toLowerCase()) && /^(?:\s*$|\s*[,;(:|\t–—-])/.test(from.slice(name.length));
    if (fits && name.length > (best?.length ?? 0)) best = { ingredientId: id, length: name.length };
  }
  if (!best) return null;
  return {
    ingredientId: best.ingredientId,
    rest: `${line.slice(0, at)} ${line.slice(at + best.length)}`.trim(),
  };
}

/** Says itself that it was kept from gluten. */
const CERTIFIED = /\bcertified\b|\bgluten[- ]?free\b|\bgf\b/i;

/**
 * How far two amounts of one thing may lie apart and still be the same, rounded twice. Two volumes of one thing, or a volume of
 * something poured, are as sure as cups are alike; a powder's cup is filled by everybody's own hand.
 */
function agree(a: Weighed, b: Weighed, poured: boolean): boolean {
  const volume = poured || a.by === b.by ? 0.05 : 0.14;
  const slack = (weighed: Weighed) =>
    weighed.by === 'mass' ? 0.035 : weighed.by === 'volume' ? volume : 0.1;
  const low = (w: Weighed) => w.lowG * (1 - slack(w)) - 0.6;
  const high = (w: Weighed) => w.highG * (1 + slack(w)) + 0.6;
  return low(a) <= high(b) && low(b) <= high(a);
}

const EXACTNESS: readonly Weighed['by'][] = ['mass', 'volume', 'count', 'percent'];
const width = ({ lowG, highG, massG }: Weighed) => (highG - lowG) / massG;
/** Scales before jugs, jugs before cups. */
const exactest = (a: Weighed, b: Weighed): number =>
  EXACTNESS.indexOf(a.by) - EXACTNESS.indexOf(b.by) || width(a) - width(b);

/** What the amounts leave: the name up to the first comma or bracket, and what is said about it. */
function wordsOf(tokens: readonly Token[], amounts: readonly { readonly phrase: Phrase }[]) {
  const taken = new Set<number>();
  amounts.forEach(({ phrase }) => {
    for (let at = phrase.from; at < phrase.to; at++) taken.add(at);
  });

  const name: string[] = [];
  const note: string[] = [];
  let depth = 0;
  let pastComma = false;
  tokens.forEach((token, at) => {
    if (taken.has(at)) return;
    if (token.text === '(' || token.text === '[') depth += 1;
    else if (token.text === ')' || token.text === ']') depth = Math.max(0, depth - 1);
    else if (token.kind === 'sign' && /[,;]/.test(token.text)) pastComma ||= name.length > 0;
    else if (!BETWEEN.test(token.text)) (depth > 0 || pastComma ? note : name).push(token.text);
  });
  return { name, note };
}

/**
 * Reads one line of a list of ingredients in whatever order it was written: amount first or last, two units, a bracket, a
 * table's row. What is not understood is asked for; nothing is guessed and nothing is left away.
 */
export function readIngredientLine(
  text: string,
  book: IngredientBook,
  system: MeasureSystem,
  own: readonly OwnMeasure[] = [],
): IngredientLine {
  const line = text
    .replace(BULLET, '')
    .replace(/\|\s*$/, '')
    .replace(/\*\*|__|`/g, '')
    .trim();
  const named = wholeNameIn(line, book);
  const tokens = tokensOf(named ? named.rest : line);
  const amounts = amountsIn(named ? named.rest : line, tokens);
  const { name, note } = wordsOf(tokens, amounts);
  if (named) note.unshift(...name.splice(0));
  else if (name.length === 0) name.push(...note.splice(0));

  const nameText = name.join(' ').replace(/^(?:of|or|about|ca|approx(?:imately)?)\s+/i, '');
  // a comma may be part of a name ("cream, 35 %"; "millet, ground"): what stands behind it can make a question sure
  let match: Match = named
    ? { kind: 'sure', ingredientId: named.ingredientId }
    : matchIngredient(nameText, book);
  if (match.kind !== 'sure' && match.kind !== 'gluten' && note.length > 0) {
    const whole = matchIngredient(`${nameText} ${note.join(' ')}`, book);
    if (whole.kind === 'sure') match = whole;
  }
  const asks: Asking[] = [];
  if (match.kind === 'sure') {
    const { ingredientId: meant } = match;
    const others = meantOtherwise(
      named ? (book.get(meant)?.name ?? '') : nameText,
      note.join(' '),
      meant,
      book,
    );
    if (others.length > 0) match = { kind: 'which', candidates: [meant, ...others] };
    else if (!named && book.get(meant)?.gluten === 'onlyIfCertified' && !CERTIFIED.test(line)) {
      asks.push('certified');
      match = { kind: 'which', candidates: [meant] };
    }
  }
  const ingredientId = match.kind === 'sure' ? match.ingredientId : null;
  const ingredient = ingredientId ? (book.get(ingredientId) ?? null) : null;
  if (match.kind !== 'sure' && asks.length === 0) asks.push(match.kind);

  const percents = amounts.filter(({ phrase }) => phrase.terms[0]?.unit?.kind === 'percent');
  const percent = percents[0]?.phrase.terms[0]?.amount.low ?? null;
  const context = { system, bareUnitG: null, baseG: null, own };
  const readings = amounts
    .filter((amount) => !percents.includes(amount))
    .flatMap(({ phrase, written }): Reading[] => {
      const weighed = weigh(phrase, ingredient, context);
      return weighed.ok ? [{ written, weighed: weighed.value }] : [];
    });
  const unread = amounts.length - percents.length - readings.length;
  const best = [...readings].sort((a, b) => exactest(a.weighed, b.weighed))[0];
  const poured = ingredient !== null && ingredient.densitySpooned === ingredient.densityScooped;
  // a line whose ingredient is still a question can't say what its cups weigh: that follows from the answer
  if (ingredient && (unread > 0 || (!best && percent === null))) asks.push('howMuch');
  if (!ingredient && amounts.length === 0) asks.push('howMuch');
  if (best && readings.some((reading) => !agree(reading.weighed, best.weighed, poured))) {
    const sameKind = readings.filter((reading) => reading.weighed.by === best.weighed.by).length > 1;
    const apart = readings.every((reading) => reading.weighed.by === best.weighed.by);
    asks.push(sameKind && apart && !/[/(=]/.test(line) ? 'several' : 'disagree');
  }
  if (/\b(?:plus|and|\+)\b/i.test(nameText) && readings.length > 1) asks.push('several');
  return {
    text: line,
    ingredientId,
    candidates: match.kind === 'which' ? match.candidates : [],
    readings,
    weighed: best?.weighed ?? null,
    percent,
    note: note.join(' '),
    asks: [...new Set(asks)],
  };
}

/** The line again once the baker has said which ingredient it is: its cups and eggs can be weighed now. */
export function readLineAs(
  text: string,
  ingredientId: string,
  book: IngredientBook,
  system: MeasureSystem,
  own: readonly OwnMeasure[] = [],
): (Weighed & { readonly written: string }) | null {
  const line = text.replace(BULLET, '').trim();
  const tokens = tokensOf(line);
  const ingredient = book.get(ingredientId) ?? null;
  const weighed = amountsIn(line, tokens).flatMap(({ phrase }) => {
    const one = weigh(phrase, ingredient, { system, bareUnitG: null, baseG: null, own });
    const written = line.slice(tokens[phrase.from]?.from ?? 0, tokens[phrase.to - 1]?.to ?? line.length);
    return one.ok ? [{ ...one.value, written }] : [];
  });
  return weighed.sort(exactest)[0] ?? null;
}
