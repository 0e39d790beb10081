import type { MethodStep, StepKind } from '../method/step';
import { newStep, stepTempRangeC, STEP_LIMITS } from '../method/step';
import { tokensOf } from '../quantity/amount';
import { fahrenheitToCelsius } from '../units/temperature';

/** A temperature printed twice, the two not the same: "350 °F / 220 °C". */
export interface HeatContradiction {
  readonly written: string;
  readonly firstC: number;
  readonly secondC: number;
}

const VERBS: readonly (readonly [StepKind, RegExp])[] = [
  ['preheat', /\b(?:pre-?heat|heat (?:the|your|an) oven|turn on the oven)\b/i],
  ['boil', /\b(?:boil(?:ing)? water|poach|boil (?:the|each|for))\b/i],
  ['fry', /\b(?:deep-?)?fry\b/i],
  ['griddle', /\b(?:griddle|skillet|dry pan|frying pan)\b/i],
  [
    'bake',
    /\b(?:bake|baking for|return to the oven|into the oven|(?:lower|reduce|turn down|drop) (?:the (?:oven|heat|temperature)|(?:it )?to)|turn (?:it|the (?:oven|heat)) down)\b/i,
  ],
  ['cool', /\b(?:cool|rack)\b/i],
  ['chill', /\b(?:fridge|refrigerat|overnight in the cold|chill)\w*/i],
  ['proof', /\b(?:proof|prove|second rise|final rise|rise in the tin|until risen)\b/i],
  ['bulk', /\b(?:let (?:it )?rise|leave to rise|first rise|bulk|ferment|double[ds]?)\b/i],
  ['fold', /\bfold (?:the dough|it)\b/i],
  ['score', /\b(?:score|slash)\b/i],
  ['divide', /\b(?:divide|portion|cut the dough)\b/i],
  [
    'shape',
    /\b(?:shape|form|roll out|press|pat|scrape (?:it |the (?:dough|batter) )?into|spoon into|turn into)\b/i,
  ],
  ['bloom', /\b(?:bloom|foam|froth|activate|dissolve the yeast|proof the yeast)\w*/i],
  ['rest', /\b(?:rest|stand|soak|gel|thicken|swell)\b/i],
  ['mix', /\b(?:mix|stir|whisk|knead|beat|combine|blend|add|pour)\b/i],
  ['weigh', /\b(?:weigh|measure)\b/i],
];

/** What a sentence of a method is about; `free` when no verb says. */
function stepKindOf(sentence: string): StepKind {
  if (/\bpre-?heat/i.test(sentence)) return 'preheat';
  // the verb that comes first rules: "mix ... and let rest" is mixing
  let first: { kind: StepKind; at: number } | null = null;
  for (const [kind, pattern] of VERBS) {
    const at = pattern.exec(sentence)?.index ?? -1;
    if (at >= 0 && (!first || at < first.at)) first = { kind, at };
  }
  return first?.kind ?? 'free';
}

const TIME_UNIT = /^(?:(h|hr|hrs|hour|hours)|(m|min|mins|minute|minutes)|(s|sec|secs|second|seconds))\.?$/i;

/** The first length of time in a sentence, s: "45 minutes", "1-1½ hours", "1 hour 15 min", "40 to 45 min", "40 + 30 min". */
function timeIn(sentence: string): { minS: number; maxS: number | null } | null {
  const tokens = tokensOf(sentence);
  for (const [at, token] of tokens.entries()) {
    const unit = TIME_UNIT.exec(tokens[at + 1]?.text.replace(/\.$/, '') ?? '');
    if (!token.amount || !unit) continue;
    const size = unit[1] ? 3600 : unit[2] ? 60 : 1;
    let low = token.amount.low * size;
    let high = token.amount.high * size;
    const before = tokens[at - 2]?.amount;
    if (before && /^(?:\+|plus)$/i.test(tokens[at - 1]?.text ?? '')) {
      low += before.low * size;
      high += before.high * size;
    }
    const more = tokens[/^(?:and|,)$/i.test(tokens[at + 2]?.text ?? '') ? at + 3 : at + 2];
    const moreUnit = more ? TIME_UNIT.exec(tokens[tokens.indexOf(more) + 1]?.text ?? '') : null;
    if (unit[1] && more?.amount && moreUnit?.[2]) {
      low += more.amount.low * 60;
      high += more.amount.high * 60;
    }
    low = Math.round(low);
    high = Math.round(high);
    const { min, max } = STEP_LIMITS.durationS;
    if (low < min || high > max) return null;
    return { minS: low, maxS: high > low ? high : null };
  }
  return null;
}

const DEGREES =
  /(\d{2,3})\s*(?:[-–]\s*(\d{2,3})\s*)?(?:°|º|deg(?:rees)?\.?)?\s*(?:(C|F)\b|(celsius|centigrade|fahrenheit))/gi;

/** All temperatures of a text, °C, with where they stand. */
function temperaturesIn(
  text: string,
): { tempC: number; fahrenheit: boolean; written: string; from: number; to: number }[] {
  return [...text.matchAll(DEGREES)].map((found) => {
    const fahrenheit = /f/i.test(found[3] ?? found[4] ?? 'c');
    const value = found[2] ? (Number(found[1]) + Number(found[2])) / 2 : Number(found[1]);
    return {
      tempC: fahrenheit ? fahrenheitToCelsius(value) : value,
      fahrenheit,
      written: found[0],
      from: found.index,
      to: found.index + found[0].length,
    };
  });
}

/** Pairs that stand for one temperature in two scales and are further apart than rounding to ten explains. */
export function heatContradictions(text: string): HeatContradiction[] {
  const found = temperaturesIn(text);
  return found.flatMap((first, index) => {
    const second = found[index + 1];
    if (!second || second.fahrenheit === first.fahrenheit) return [];
    const between = text.slice(first.to, second.from);
    if (!/^[\s/(,–-]*(?:or|=)?[\s/(]*$/.test(between)) return [];
    if (Math.abs(first.tempC - second.tempC) <= 9) return [];
    return [{ written: text.slice(first.from, second.to), firstC: first.tempC, secondC: second.tempC }];
  });
}

/** Where one thing ends and the next begins: a sentence, or what comes "then". */
const NEXT = /(?<=[.!?])\s+(?=[\p{Lu}\d"“(])|(?<=[,;])\s+(?=(?:and )?then\b)|\s+(?=and then\b)/u;

/** Work that goes on under another heat or for another while without being named again: "then 40 minutes at 190 °C". */
const GOES_ON: ReadonlySet<StepKind> = new Set([
  'bake',
  'griddle',
  'fry',
  'boil',
  'proof',
  'bulk',
  'rest',
  'chill',
]);

interface Clause {
  readonly text: string;
  /** Under the verb of the clause before: "... and 25 minutes uncovered". */
  readonly goesOn: boolean;
}

/** Where a second time may begin without a "then". */
const ALSO = /(?<=[,;])\s+|\s+(?=(?:and|plus)\s)/i;
/** A time that says when or how often something happens meanwhile, or how long it takes otherwise; not how long more. */
const MEANWHILE =
  /\b(?:if|or(?! until)|when|unless|for an?|bigger|larger|smaller|longer|every|each|per|apart|before|after|within|later|last|first|half ?way|old|up to|at most|at least|no more than)\b/i;

/** "Bake 20 minutes covered and 25 minutes uncovered" is two steps; "1 hour and 10 minutes" is one, "turning after 10 minutes" none. */
function clausesOf(sentence: string): Clause[] {
  const clauses: { text: string; goesOn: boolean }[] = [];
  for (const part of sentence.split(ALSO)) {
    const last = clauses.at(-1);
    const opens =
      last &&
      timeIn(part) !== null &&
      timeIn(last.text) !== null &&
      !MEANWHILE.test(part) &&
      // not the minutes of an hour
      timeIn(`${last.text} ${part}`)?.minS === timeIn(last.text)?.minS;
    if (!last || opens) clauses.push({ text: part, goesOn: last !== undefined });
    else last.text += ` ${part}`;
  }
  return clauses;
}

/** A paragraph of a method as steps: a sentence, or what comes then, opens a new one when it brings a time of its own or another kind of work. */
export function readSteps(paragraph: string, newId: () => string): MethodStep[] {
  const sentences = paragraph
    .split(NEXT)
    .map((sentence) => sentence.trim())
    .filter(Boolean)
    .flatMap(clausesOf);
  const groups: Clause[] = [];
  for (const { text, goesOn } of sentences) {
    const last = groups.at(-1);
    const joins =
      last !== undefined &&
      last.text.length + text.length < STEP_LIMITS.cueLength &&
      (!timeIn(text) || !timeIn(last.text)) &&
      (stepKindOf(text) === stepKindOf(last.text) || stepKindOf(text) === 'free');
    if (joins) groups[groups.length - 1] = { ...last, text: `${last.text} ${text}` };
    else groups.push({ text, goesOn });
  }
  // a sentence longer than a step may hold goes on in the next one: no word is cut off
  const pieces = groups.flatMap(({ text, goesOn }) => {
    const parts: Clause[] = [];
    for (let rest = text; rest !== '';) {
      const most = STEP_LIMITS.cueLength;
      const cut = rest.length <= most ? rest.length : Math.max(rest.lastIndexOf(' ', most), most / 2);
      parts.push({ text: rest.slice(0, cut).trim(), goesOn });
      rest = rest.slice(cut).trim();
    }
    return parts;
  });
  let before: StepKind = 'free';
  return pieces.map(({ text: note, goesOn }): MethodStep => {
    const time = timeIn(note);
    const named = stepKindOf(note);
    const more = goesOn || (/^(?:and )?then\b/i.test(note) && GOES_ON.has(before));
    const kind = named === 'free' && time && more ? before : named;
    before = kind;
    const step = { ...newStep(kind, newId()), note, minS: time?.minS ?? null, maxS: time?.maxS ?? null };
    const limits = stepTempRangeC(kind);
    const temperature = temperaturesIn(note)[0]?.tempC;
    const fits = temperature !== undefined && temperature >= limits.min && temperature <= limits.max;
    return fits && heatContradictions(note).length === 0
      ? { ...step, tempC: Math.round(temperature * 2) / 2 }
      : step;
  });
}
