import { STEP_LIMITS } from '../../method/step';

/**
 * What a length of time in a clause is: of the step as a whole, of each side, between repeats, of its first or last part, a moment within it, a limit
 * ("up to"), or another way to do it ("or overnight in the fridge").
 */
type SpanRole = 'whole' | 'side' | 'every' | 'first' | 'last' | 'moment' | 'upTo' | 'other';

export interface Span {
  readonly minS: number;
  readonly maxS: number | null;
  readonly role: SpanRole;
  /** A number alone, taken for minutes. */
  readonly bare?: true;
  /** Where it stands in the text as `plainNumbers` gives it. */
  readonly from: number;
  readonly to: number;
}

const GLYPHS: Readonly<Record<string, string>> = {
  '½': '.5', '¼': '.25', '¾': '.75', '⅓': '.333', '⅔': '.667',
}; // prettier-ignore
const NUMBER_WORDS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'] as const; // prettier-ignore
const TENS: Readonly<Record<string, number>> = {
  fifteen: 15, twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, ninety: 90,
}; // prettier-ignore

/** Numbers as figures, so that everything after reads one spelling: "1½", "one and a half", "half an hour", "5'". Never used for what is shown. */
export function plainNumbers(text: string): string {
  return (
    text
      .replace(/(\d)\s*([½¼¾⅓⅔])/g, (_, whole: string, glyph: string) => `${whole}${GLYPHS[glyph]!}`)
      .replace(/[½¼¾⅓⅔]/g, (glyph) => `0${GLYPHS[glyph]!}`)
      .replace(/\b(\d+) (\d)\/(\d)\b/g, (_, whole: string, up: string, down: string) =>
        String(Number(whole) + Number(up) / Number(down)),
      )
      .replace(/\b(\d)\/(\d)(?= ?(?:of an )?(?:h|hr|hour)\b)/g, (_, up: string, down: string) =>
        String(Number(up) / Number(down)),
      )
      .replace(/(\d),(\d{1,2})(?= ?(?:h|hrs?|hours?)\b)/g, '$1.$2')
      .replace(/\b(\d{1,3}) ?(?:\+|plus) ?(\d{1,3})(?= ?(?:min|mins|minutes|hours?|h)\b)/gi, (_, a: string, b: string) => String(Number(a) + Number(b)))
      .replace(/(\d)\s?['′](?![\w])/g, '$1 min')
      .replace(/\ba hundred and (\w+)\b/gi, (whole, more: string) => {
        const value = TENS[more.toLowerCase()];
        return value === undefined ? whole : String(100 + value);
      })
      .replace(new RegExp(`\\b(${Object.keys(TENS).join('|')})(?:[- ](five))?\\b`, 'gi'), (_, ten: string, five?: string) =>
        String(TENS[ten.toLowerCase()]! + (five ? 5 : 0)),
      )
      .replace(/\bthree[- ]quarters of an hour\b/gi, '45 min')
      .replace(/\b(?:a |one )?quarter of an hour\b/gi, '15 min')
      .replace(/\bhalf[- ](?:an |a )?hour\b|\b0\.5 an hour\b/gi, '30 min')
      .replace(/\bhalf a minute\b/gi, '30 seconds')
      .replace(/\b(?:an|one|1) hour and (?:a half|0?\.5|three quarters)\b/gi, (found) =>
        /three/.test(found) ? '1.75 hours' : '1.5 hours',
      )
      .replace(/\b(?:an|one) hour and a quarter\b/gi, '1.25 hours')
      .replace(new RegExp(`\\b(${NUMBER_WORDS.join('|')}) and a half\\b`, 'gi'), (_, word: string) =>
        String(NUMBER_WORDS.indexOf(word.toLowerCase() as 'one') + 0.5),
      )
      .replace(/\ba couple of (?=hours|minutes|days)/gi, '2 ')
      .replace(/\b(another|one more|a further) (?=minute\b|hour\b)/gi, '$1 1 ')
      // "give it another ten"
      .replace(/\b(another|a further) (five|ten|15|20)\b(?=[.,;!]|$| or so)/gi, (_, more: string, word: string) => {
        const at = NUMBER_WORDS.indexOf(word.toLowerCase() as 'one');
        return `${more} ${at < 0 ? word : at} minutes`;
      })
      .replace(/\b(?:an) (?=hour)/gi, '1 ')
      .replace(/\ba (?=minute\b|full minute\b|day\b)/gi, '1 ')
      .replace(/\b(?:until|till) (?:the )?(?:next day|following day|tomorrow)\b/gi, 'overnight')
      // "one side", "a second sheet" are no lengths of time
      .replace(new RegExp(`\\b(${NUMBER_WORDS.slice(1).join('|')})(?=(?: (?:to|or) \\w+)?(?:[- ](?:more|further|full|good))* ?-?(?:hours?|hrs?|minutes?|mins?|days?|seconds)\\b)`, 'gi'), (word) =>
        String(NUMBER_WORDS.indexOf(word.toLowerCase() as 'one')),
      )
      .replace(new RegExp(`(?<=\\b\\d+ (?:to|or) )(${NUMBER_WORDS.slice(1).join('|')})\\b`, 'gi'), (word) =>
        String(NUMBER_WORDS.indexOf(word.toLowerCase() as 'one')),
      )
  ); // prettier-ignore
}

const NUM = String.raw`\d+(?:\.\d+)?|\.\d+`;
const UNIT = String.raw`(?:(?:full|good|more|further|extra|additional)[- ])?(?:hours?|hrs?|h|minutes?|mins?|m(?![\w])|seconds?|secs?|s(?![\w])|days?)(?![\w])\.?`;
const JOIN = String.raw`\s*(?:[-–—~]|to|or|and)\s*`;
const SPAN = new RegExp(
  [
    String.raw`(?<a>${NUM})\s?-?(?<ua>${UNIT})?${JOIN}(?:(?:up )?to )?(?<b>${NUM})\s?-?(?<ub>${UNIT})`,
    String.raw`(?<c>${NUM})\s?-?(?<uc>${UNIT})(?:,?\s*(?:and )?(?<d>${NUM})\s?(?<ud>minutes?|mins?|m\b))?`,
    String.raw`(?<=\b(?:another|a further) )(?<more>${NUM})(?=\s+(?:with|without|covered|uncovered|under)\b)`,
    String.raw`(?<speed>${NUM})(?=\s+(?:on (?:low|medium|high|speed|first|second|fast|slow)|without|uncovered|covered)\b)`,
    String.raw`(?<=\b(?:first|last|final) )(?<part>${NUM})(?=\s+(?:with|without|covered|uncovered|under|at)\b|\.?$)`,
    String.raw`(?<=^(?:bench )?(?:rest|knead|mix|beat|bake|proof|prove|cool|rise|fry|boil|bulk|ferment) (?:for )?)(?<lone>\d{1,3})(?=\.?$)`,
    String.raw`(?<night>\b(?:overnight|over night)\b)`,
    String.raw`(?<g>${NUM})(?<ug>h)(?<m>\d{2})\b`,
  ].join('|'),
  'gi',
);

const sizeS = (unit: string): number => {
  const bare = unit.toLowerCase().replace(/^(?:full|good|more|further|extra|additional)[- ]/, '');
  return bare.startsWith('h') ? 3600 : bare.startsWith('d') ? 86_400 : bare.startsWith('s') ? 1 : 60;
};
/** A night in the cold, s. */
const NIGHT_S = { minS: 8 * 3600, maxS: 12 * 3600 };

function roleOf(text: string, from: number, to: number, earlier: number): SpanRole {
  const before = text.slice(Math.max(0, from - 40), from).toLowerCase();
  const after = text.slice(to, to + 40).toLowerCase();
  if (/^\s*,?\s*(?:per|a|each|on each|on either|on both|for each|every|both) (?:side|sides|face)\b/.test(after)) return 'side';
  if (/(?:each|both|either) sides? (?:for |about )*$/.test(before)) return 'side';
  if (/\bevery (?:other )?(?:about )?$/.test(before) || /^\s*(?:intervals?|apart|between)\b/.test(after)) return 'every';
  if (/\b(?:the )?first (?:\w+ )?$/.test(before)) return 'first';
  if (/\b(?:the )?(?:last|final) (?:\w+ )?$/.test(before)) return 'last';
  if (/\b(?:after|half ?way|within|at) (?:the first |about |another |a further )?$/.test(before)) return 'moment';
  if (/^\s*before (?:the end|it is done|it['’]s done|they are|baking ends)/.test(after)) return 'moment';
  if (from === 0 && /^\s*(?:before|after|later)\b/.test(after)) return 'moment';
  if (/\b(?:up to|at most|no (?:more|longer) than|not more than|maximum|max\.?)\s*$/.test(before)) return 'upTo';
  if (earlier > 0 && /\bor (?:for |leave |let |even |about |bake |place |put |rest |it |in |the |fridge )*$/.test(before)) return 'other';
  return 'whole';
} // prettier-ignore

/** Every length of time in a clause (as `plainNumbers` gives it), with what it is. */
export function spansIn(text: string): Span[] {
  const found: Span[] = [];
  for (const match of text.matchAll(SPAN)) {
    const { a, ua, b, ub, c, uc, d, speed, part, more, lone, night, g, m } = match.groups ?? {};
    const from = match.index;
    const to = from + match[0].length;
    // part of a longer number, or of a weight
    if (/[\d.]$/.test(text.slice(0, from))) continue;
    const role = roleOf(text, from, to, found.length);
    const put = (minS: number, maxS: number | null, bare = false) => {
      const low = Math.round(minS);
      const high = maxS === null ? null : Math.round(maxS);
      if (low >= STEP_LIMITS.durationS.min && (high ?? low) <= STEP_LIMITS.durationS.max)
        found.push({
          minS: low,
          maxS: high !== null && high > low ? high : null,
          role,
          from,
          to,
          ...(bare && { bare: true as const }),
        });
    };
    if (lone) put(Number(lone) * 60, null, true);
    else if (night) put(NIGHT_S.minS, NIGHT_S.maxS);
    else if (g && m) put(Number(g) * 3600 + Number(m) * 60, null);
    else if (a && b && ub) {
      const low = Number(a) * sizeS(ua ?? ub);
      const high = Number(b) * sizeS(ub);
      // "1 hour and 10 minutes" is one length, "20 to 25 minutes" a range
      if (ua && sizeS(ua) > sizeS(ub) && high < sizeS(ua)) put(low + high, null);
      else if (high >= low) put(low, high);
    } else if (c && uc) put(Number(c) * sizeS(uc) + (d && sizeS(uc) === 3600 ? Number(d) * 60 : 0), null);
    else if (more) put(Number(more) * 60, null);
    else if ((speed ?? part) && found.length > 0) put(Number(speed ?? part) * 60, null);
  }
  return found;
}

/** What a temperature in a clause is of. `relative`: so much cooler or hotter than another. `other`: for another oven or sheet. */
type HeatRole = 'place' | 'core' | 'liquid' | 'dough' | 'relative' | 'other';
export interface Heat {
  readonly tempC: number;
  readonly role: HeatRole;
  readonly from: number;
  readonly to: number;
}

const DEGREES =
  /(?<a>\d{2,3}|(?<![\d.,])\d(?=\s*(?:°|º|degrees)))\s*(?:°|º|degrees?)?\s*(?<sa>[CF]\b)?(?:\s*(?:[-–]|to)\s*(?<b>\d{2,3}))?\s*(?:°|º|degrees?|deg\.?)?\s*(?<s>C\b|F\b|celsius|centigrade|fahrenheit)|gas (?:mark )?(?<gas>\d)|(?<bare>\d{3})\s*(?:°|º|degrees)|(?<=\b(?:at|to|oven|bake|@|preheat|heated|around|about)[ :]+)(?<plain>\d{3})\b(?!\s*(?:g|ml|grams|[-–]?\s*(?:min|hour)))/gi;
/** Marks of a gas oven, °C (usual tables). */
const GAS_C = [130, 140, 150, 170, 180, 190, 200, 220, 230, 240] as const;
const fahrenheit = (value: number): number => (value - 32) / 1.8;
/** A number without a scale is what an oven of either may be set to; between the two nobody can tell. */
const scaleless = (value: number): number | null =>
  value <= 270 ? value : value >= 325 ? fahrenheit(value) : null;

/** Every temperature in a clause; of one printed in two scales the Celsius. `unsure`: a number of which nobody can tell the scale. */
export function heatsIn(text: string): { readonly heats: Heat[]; readonly unsure: boolean } {
  const heats: Heat[] = [];
  let unsure = false;
  for (const match of text.matchAll(DEGREES)) {
    const { a, b, s, gas, bare, plain } = match.groups ?? {};
    const from = match.index;
    const to = from + match[0].length;
    const isF = /^f/i.test(s ?? '');
    const value = a ? (b ? (Number(a) + Number(b)) / 2 : Number(a)) : Number(bare ?? plain);
    const tempC = gas ? GAS_C[Number(gas)] ?? null : s ? (isF ? fahrenheit(value) : value) : scaleless(value);
    if (tempC === null) {
      unsure = true;
      continue;
    }
    const before = text.slice(Math.max(0, from - 45), from).toLowerCase();
    const after = text.slice(to, to + 34).toLowerCase();
    const last = heats.at(-1);
    const between = last ? text.slice(last.to, from) : '';
    // the same in another scale
    if (last && /^[\s/(,;–-]*(?:or|=|or gas)?[\s/(]*$/i.test(between) && Math.abs(last.tempC - tempC) <= 12 && !/^\s*\)?\s*(?:fan|convection)/.test(after)) {
      if (!isF && s) heats[heats.length - 1] = { ...last, tempC, to };
      else heats[heats.length - 1] = { ...last, to };
      continue;
    }
    const role: HeatRole =
      /^\s*(?:cooler|lower|hotter|higher|less|more|below|above)\b/.test(after) || /\b(?:by|about) $/.test(before) && /\b(?:cooler|lower|hotter|reduce|raise)\b/.test(before)
        ? 'relative'
        : /^\s*\)?,?\s*(?:fan|convection|if (?:you|using)|with (?:a )?fan)/.test(after) || /\b(?:fan|convection)[: ]*(?:oven )?(?:at )?$/.test(before)
          ? last ? 'other' : 'place'
          : tempC <= 115 && /\b(?:core|inside|internal|centre|center|middle|probe|thermometer|crumb)\b(?! (?:shelf|rack|of the oven))[^.;]{0,34}$/.test(before) || /^\s*(?:in(?:side)? (?:the )?(?:centre|center|middle|core)|inside|internal|core|at the (?:core|centre|center)|in (?:its|the) (?:middle|heart))/.test(after)
            ? 'core'
            : /\bdough\b[^.;,]{0,24}$/.test(before) && !/\b(?:water|milk)\b/.test(before.slice(before.lastIndexOf('dough')))
              ? 'dough'
              : /\b(?:water|milk|liquid|whey|beer)\b[^.;]{0,24}$/.test(before) || /^\s*\)?\s*(?:water|milk|liquid|warm water)/.test(after)
                ? 'liquid'
                : 'place';
    heats.push({ tempC: Math.round(tempC * 2) / 2, role, from, to });
  }
  return { heats, unsure };
} // prettier-ignore
