import { unitOf } from './measures';

/** A number somebody wrote: "1 1/2", "¾", "2-3", "a couple of", "1,5". `high` is `low` where it is no range. */
export interface Amount {
  readonly low: number;
  readonly high: number;
}

export interface Token {
  readonly kind: 'amount' | 'word' | 'sign';
  readonly text: string;
  readonly amount: Amount | null;
  /** Where it stands in the text. */
  readonly from: number;
  readonly to: number;
}

const GLYPHS: Readonly<Record<string, number>> = {
  '½': 1 / 2, '⅓': 1 / 3, '⅔': 2 / 3, '¼': 1 / 4, '¾': 3 / 4, '⅕': 1 / 5, '⅖': 2 / 5, '⅗': 3 / 5, '⅘': 4 / 5,
  '⅙': 1 / 6, '⅚': 5 / 6, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8,
}; // prettier-ignore
const WORDS: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11,
  twelve: 12, half: 0.5, quarter: 0.25, dozen: 12, couple: 2,
}; // prettier-ignore

const GLYPH = '[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]';
const PLAIN = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const FRACTION = String.raw`\d+\s?[/⁄]\s?\d+`;
/** Mixed numbers first: "1 1/2", "1-1/2", "1½", "1 and 1/2"; then a bare fraction, a glyph, a plain number. */
const NUMBER = String.raw`\d+(?:\s+and\s+|\s*-\s*|\s+)${FRACTION}|\d+(?:\s+and\s+|\s*)${GLYPH}|${FRACTION}|${GLYPH}|${PLAIN}`;
const RANGE = new RegExp(
  String.raw`^(?:${NUMBER})(?:\s*(?:[-–—~]|\bto\b|\bor\b)\s*(?:${NUMBER}))?(?![\d/⁄])`,
  'i',
);
const ONE = new RegExp(String.raw`^(?:${NUMBER})`, 'i');

function readNumber(text: string): number | null {
  const glyph = [...text].find((letter) => letter in GLYPHS);
  const whole = /^\d+/.exec(text)?.[0];
  if (glyph) return (whole ? Number(whole) : 0) + (GLYPHS[glyph] ?? 0);
  const fraction = /(\d+)\s?[/⁄]\s?(\d+)$/.exec(text);
  if (fraction) {
    const below = Number(fraction[2]);
    if (below === 0) return null;
    const before = text.slice(0, fraction.index).trim();
    return (before === '' ? 0 : Number(/^\d+/.exec(before)?.[0] ?? 0)) + Number(fraction[1]) / below;
  }
  // "1,200": twelve hundred to some, 1.2 to others; nobody can tell, so it is no number
  if (/^\d{1,3},\d{3}$/.test(text)) return null;
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) ? value : null;
}

/** The amount at the start of a text, with how many letters it took; null when there is none that can be read. */
function amountAt(text: string): { amount: Amount; length: number } | null {
  const range = RANGE.exec(text)?.[0];
  const one = ONE.exec(text)?.[0];
  if (!one) return null;
  const first = readNumber(one.trim());
  if (first === null || first > 1e6) return null;
  if (range && range.length > one.length) {
    const rest = range.slice(one.length).replace(/^\s*(?:[-–—~]|\bto\b|\bor\b)\s*/i, '');
    const second = readNumber(rest.trim());
    if (second !== null && second > first && second <= 1e6)
      return { amount: { low: first, high: second }, length: range.length };
  }
  return { amount: { low: first, high: first }, length: one.length };
}

const single = (value: number): Amount => ({ low: value, high: value });

/** Takes a line apart into numbers, words and signs. Never throws; every letter but blanks ends in a token. */
export function tokensOf(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  const push = (kind: Token['kind'], length: number, amount: Amount | null = null) => {
    tokens.push({ kind, text: text.slice(at, at + length), amount, from: at, to: at + length });
    at += length;
  };
  while (at < text.length) {
    const rest = text.slice(at, at + 80);
    if (/^\s/.test(rest)) {
      at += 1;
      continue;
    }
    const number = /^[\d.,½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/.test(rest) ? amountAt(rest) : null;
    if (number) {
      push('amount', number.length, number.amount);
      continue;
    }
    // digits that make no number stay together as one word, so that nothing of them is taken for another number
    const digits = /^\d[\d.,/]*/.exec(rest)?.[0];
    if (digits) {
      push('word', digits.length);
      continue;
    }
    const fl = /^(?:fl\.?\s*oz|fluid\s+ounces?)\b\.?/i.exec(rest)?.[0];
    if (fl) {
      tokens.push({ kind: 'word', text: 'floz', amount: null, from: at, to: at + fl.length });
      at += fl.length;
      continue;
    }
    const word = /^[\p{L}\p{M}][\p{L}\p{M}'’]*(?:-[\p{L}\p{M}]+)*\.?|^%/u.exec(rest)?.[0];
    if (word) push('word', /^\p{L}+\.$/u.test(word) && !unitOf(word) ? word.length - 1 : word.length);
    else push('sign', [...rest][0]?.length ?? 1);
  }
  return tokens.flatMap((token, index) => {
    const lower = token.text.toLowerCase();
    // "a pinch", "half a cup", "one egg": a word is a number only where a number can stand
    if (token.kind !== 'word' || !(lower in WORDS)) return [token];
    const next = tokens[index + 1];
    if (!next || next.kind === 'sign') return [token];
    return [{ ...token, kind: 'amount' as const, amount: single(WORDS[lower] ?? 1) }];
  });
}
