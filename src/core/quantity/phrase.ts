import type { Amount, Token } from './amount';
import { FILLS, unitOf, type Unit } from './measures';
import { SIZES, type Size } from './pieces';

/** One quantity in a line: "1 1/2 cups", "2 large", "2 x 7 g packets", "1 lb 4 oz". */
export interface Phrase {
  readonly terms: readonly Term[];
  /** Tokens it took, from ... to (not including). */
  readonly from: number;
  readonly to: number;
}

export interface Term {
  readonly amount: Amount;
  readonly unit: Unit | null;
  readonly size: Size | null;
  readonly fill: string | null;
  /** "7 g packet": one packet, and this is what is in it. */
  readonly each: { readonly amount: Amount; readonly unit: Unit } | null;
  /** "less 1 tbsp": taken off again. */
  readonly less?: true;
}

const word = (token: Token | undefined): string => (token?.kind === 'word' ? token.text.toLowerCase() : '');
const times = (a: Amount, b: Amount): Amount => ({ low: a.low * b.low, high: a.high * b.high });

function sizeAt(tokens: readonly Token[], at: number): { size: Size; length: number } | null {
  const first = word(tokens[at]);
  if ((first === 'extra' && word(tokens[at + 1]) === 'large') || first === 'extra-large')
    return { size: 'extra large', length: first === 'extra' ? 2 : 1 };
  if (first === 'med') return { size: 'medium', length: 1 };
  const size = SIZES.find((each) => each === first);
  return size ? { size, length: 1 } : null;
}

/** "half a", "a dozen", "2 ½": amounts that stand beside one another belong together. */
function amountFrom(tokens: readonly Token[], at: number): { amount: Amount; next: number } | null {
  const first = tokens[at];
  if (!first?.amount) return null;
  let amount = first.amount;
  let next = at + 1;
  while (tokens[next]?.amount && /[a-z]/i.test(tokens[next - 1]?.text ?? '')) {
    // a number word before another number multiplies: "half a", "a dozen", "a couple"
    amount = times(amount, tokens[next]?.amount ?? amount);
    next += 1;
  }
  if (word(tokens[next]) === 'of' && /couple|dozen|half|quarter/i.test(tokens[next - 1]?.text ?? ''))
    next += 1;
  // "half of a cup"
  if (/^(?:half|quarter)$/i.test(first.text) && /^an?$/i.test(tokens[next]?.text ?? '')) next += 1;
  // "two and a half cups"
  const more = word(tokens[next]) === 'and' && /^an?$/i.test(tokens[next + 1]?.text ?? '');
  const part =
    more && /^(?:half|quarter)$/i.test(tokens[next + 2]?.text ?? '') ? tokens[next + 2]?.amount : null;
  if (part) {
    amount = { low: amount.low + part.low, high: amount.high + part.high };
    next += 3;
  }
  return { amount, next };
}

function unitAt(tokens: readonly Token[], at: number): { unit: Unit; next: number } | null {
  const token = tokens[at];
  if (token?.kind !== 'word' && token?.text !== '%') return null;
  const unit = unitOf(token.text);
  return unit ? { unit, next: at + 1 } : null;
}

function termAt(tokens: readonly Token[], at: number): { term: Term; next: number } | null {
  const read = amountFrom(tokens, at);
  if (!read) return null;
  let { amount, next } = read;
  // "2 x 7 g": the number of packets, then what each holds
  let packs: Amount | null = null;
  if (/^[x×]$/i.test(tokens[next]?.text ?? '') && tokens[next + 1]?.amount) {
    packs = amount;
    const inner = amountFrom(tokens, next + 1);
    if (inner) ({ amount, next } = inner);
  }
  // a dash between number and unit or count: "12-inch", "7-g packet"
  if (tokens[next]?.text === '-' && unitAt(tokens, next + 1)) next += 1;
  let fill: string | null = null;
  if (word(tokens[next]) in FILLS) fill = word(tokens[next++]);
  const sized = sizeAt(tokens, next);
  if (sized) next += sized.length;
  // "about 40C" is warm water, not forty cups
  const degrees = tokens[next]?.text === 'C' && amount.low >= 10;
  const named = degrees ? null : unitAt(tokens, next);
  if (named) next = named.next;
  let unit = named?.unit ?? null;
  // "1.200 g": twelve hundred to some; no scale in a kitchen weighs thousandths
  if (/^[1-9]\d{0,2}\.\d{3}$/.test(tokens[at]?.text ?? '') && /^(?:g|ml)$/.test(unit?.word ?? ''))
    return null;
  let each: Term['each'] = null;
  if (packs && unit) {
    each = { amount, unit };
    amount = packs;
    unit = unitAt(tokens, next)?.unit ?? null;
    if (unit) next += 1;
  } else if (unit?.kind === 'mass' && unitAt(tokens, next)?.unit.kind === 'count') {
    // "7 g packet"
    each = { amount, unit };
    amount = { low: 1, high: 1 };
    unit = unitAt(tokens, next)?.unit ?? null;
    next += 1;
  } else if (
    // "2 (7 g) packets"
    !unit &&
    tokens[next]?.text === '(' &&
    tokens[next + 1]?.amount
  ) {
    const inner = termAt(tokens, next + 1);
    const counted = inner && tokens[inner.next]?.text === ')' ? unitAt(tokens, inner.next + 1) : null;
    if (inner?.term.unit?.kind === 'mass' && counted?.unit.kind === 'count') {
      each = { amount: inner.term.amount, unit: inner.term.unit };
      unit = counted.unit;
      next = counted.next;
    }
  }
  if (word(tokens[next]) === 'each' && unit) next += 1;
  return { term: { amount, unit, size: sized?.size ?? null, fill, each }, next };
}

const addable = (term: Term): boolean => term.unit?.kind === 'volume' || term.unit?.kind === 'mass';

/** The quantity that starts at a token, null when none does. "1 cup plus 2 tbsp", "1 cup less 1 tbsp" and "1 lb 4 oz" are one quantity of two terms. */
export function phraseAt(tokens: readonly Token[], at: number): Phrase | null {
  const first = termAt(tokens, at);
  if (!first) return null;
  const terms = [first.term];
  let next = first.next;
  for (;;) {
    const last = terms.at(-1);
    if (!last || !addable(last) || last.each) break;
    const less = /^(?:less|minus)$/i.test(tokens[next]?.text ?? '');
    const joined = less || /^(?:\+|plus|and|&)$/i.test(tokens[next]?.text ?? '');
    const more = termAt(tokens, joined ? next + 1 : next);
    if (!more || !addable(more.term)) break;
    // without a "plus" only a smaller unit of the same kind goes on with it: "1 lb 4 oz", not "200 g 2 cups"
    if (!joined && !(smaller(more.term, last) && more.next > next)) break;
    terms.push(less ? { ...more.term, less: true } : more.term);
    next = more.next;
  }
  if (word(tokens[next]) === 'of' && terms.at(-1)?.unit) next += 1;
  return { terms, from: at, to: next };
}

function smaller(term: Term, than: Term): boolean {
  if (term.unit?.kind === 'mass' && than.unit?.kind === 'mass') return term.unit.g < than.unit.g;
  if (term.unit?.kind === 'volume' && than.unit?.kind === 'volume')
    return term.unit.ml.us < than.unit.ml.us && than.unit.word !== 'ml';
  return false;
}
