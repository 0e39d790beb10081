import type { Moisture } from '../../method/heating';
import type { MethodStep, StepKind } from '../../method/step';
import { STEP_LIMITS } from '../../method/step';

const COUNTS: Readonly<Record<string, number>> = {
  once: 1, one: 1, singly: 1, twice: 2, two: 2, pairs: 2, three: 3, thrice: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12,
  fourteen: 14, sixteen: 16, twenty: 20, 'a dozen': 12,
}; // prettier-ignore
const COUNT = String.raw`(\d{1,3}|${Object.keys(COUNTS).join('|')})`;
export const countOf = (word: string): number => COUNTS[word.toLowerCase()] ?? Number(word);

/** Wet or dry heat, where a clause says which. */
export function moistOf(text: string): Moisture | null {
  const t = text.toLowerCase();
  if (/\buncover|\b(?:without|remove|off|take) (?:off )?(?:the |its )?(?:lid|foil|cover)\b|\blid off\b|\bno lid\b|\b(?:without|no|vent the|release the|let the) steam\b|\bopen the (?:pot|vent)\b|\bwithout[.,]?$|\b(?:then|lid) open\b|\bopen at\b|\bdry\b(?! (?:pan|frying|skillet|griddle|ingredients))/.test(t)) return 'dry';
  if (/\b(?:lid on|lidded|with (?:its|the|a) lid|put (?:on )?the lid|close the (?:lid|pot)|under (?:its|the|a) lid|(?<!un)cover(?:ed)?\b(?! (?:tray|baking|with seeds))|covering (?:\w+ ){0,3}with (?:foil|(?:a|the|its) lid|paper))/.test(t)) return 'lid';
  return /\b(?:steam|tray of (?:hot |boiling )?water|water (?:in|into|onto) (?:the|a) (?:hot |lower |bottom )?(?:tray|oven|dish|pan|floor)|spray the oven|ice cubes?)\b/.test(t) ? 'steam' : null;
} // prettier-ignore

/** How many go in together. */
export function atATimeOf(text: string): number | null {
  const found =
    new RegExp(String.raw`\b${COUNT} (?!trays?|sheets?|batch|load)(?:\w+ )?at (?:a|one) time\b`, 'i').exec(
      text,
    ) ??
    new RegExp(String.raw`\b(?:in )?(?:batches|loads) of ${COUNT}\b`, 'i').exec(text) ??
    new RegExp(String.raw`\b${COUNT} (?:per|to a|in each) (?:load|batch|tray|pan)\b`, 'i').exec(text);
  const count = found ? countOf(found[1]!) : /\bone by one\b|\bsingly\b|\bone after (?:the other|another)\b/i.test(text) ? 1 : null; // prettier-ignore
  const { min, max } = STEP_LIMITS.atATime;
  return count !== null && count >= min && count <= max ? count : null;
}

/** How often in all: "three folds", "repeat twice more". */
export function timesOf(text: string, repeats: boolean): number | null {
  const found =
    new RegExp(String.raw`\b${COUNT}(?: more)? times\b`, 'i').exec(text) ??
    new RegExp(String.raw`\b(twice|thrice)\b`, 'i').exec(text) ??
    new RegExp(String.raw`\b${COUNT} (?:more )?(?:sets?|rounds?|folds)\b`, 'i').exec(text);
  const count = found ? countOf(found[1]!) : repeats ? 1 : null;
  if (count === null) return null;
  const times = repeats ? count + 1 : count;
  const { min, max } = STEP_LIMITS.times;
  return times >= min && times <= max ? times : null;
}

/** Into how many, and how heavy each: "eight pieces of 85 g", "12 balls, about 70 g each". */
export function dividedInto(text: string): { readonly pieces: number | null; readonly pieceMassG: number | null } {
  const t = text.toLowerCase();
  const many = new RegExp(
    String.raw`\b${COUNT} (?:equal |even |small |large |round |little |\w+ed |oval |flat |long )*(?:pieces?|heaps|mounds|balls?|portions?|rolls?|parts?|rings?|bagels?|buns?|rounds?|discs?|loaves|bits|lumps|knots|flats?|flatbreads|batons|doughnuts)\b|\b(?:divide|portion|split|cut|scale|ball up|ball it|form|shape)\b[^.,;]{0,24}\bin(?:to)? ${COUNT}\b|\binto ${COUNT} (?:\w+ )?rings\b`,
  ).exec(t);
  const times = /\b(\d{1,3}) ?[x×] ?(\d{2,4}) ?g\b/.exec(t);
  if (times) return { pieces: Number(times[1]), pieceMassG: Number(times[2]) };
  const heavy =
    /\b(?:of|at|about|weighing|to)? ?(?:about )?(\d{2,4}) ?g(?:rams)?\b(?: each| apiece| a piece| per piece)?/.exec(t) ?? null;
  const pieces = many ? countOf((many[1] ?? many[2] ?? many[3])!) : null;
  return { pieces: pieces && pieces > 0 ? pieces : null, pieceMassG: heavy ? Number(heavy[1]) : null };
} // prettier-ignore

const WAITING: ReadonlySet<StepKind> = new Set([
  'bloom',
  'soak',
  'preDough',
  'rest',
  'bulk',
  'proof',
  'chill',
]);
/** A cover that is named without a place: on the bench, under it. */
export function coveredAtRoom(kind: StepKind, text: string, tempC: number | null): MethodStep['stands'] | null {
  if (!WAITING.has(kind) || kind === 'chill') return null;
  const t = text.toLowerCase();
  if (/\b(?:somewhere warm|in the (?:sun|warm(?! (?:water|milk|liquid)))|(?:min|hour)s? warm|warm (?:kitchen|room|spot|place|corner|oven))\b/.test(t) && !/fridge/.test(t)) return { place: 'warm' };
  if (/\bfridge|refrigerat|freezer|warm|prover|proofer|oven|lamp\b/.test(t) || (tempC !== null && tempC > 26)) return null;
  const cover = /\b(?:film|cling|plastic wrap|shower cap)\b/.test(t) ? 'film'
    : /\bdamp (?:cloth|towel|tea towel)\b/.test(t) ? 'damp'
      : /\b(?:under|with|cover\w*)\b[^.;]*\b(?:cloth|towel)\b|\bin (?:an?|the) (?:\w+ )?(?:cloth|couche)\b/.test(t) ? 'cloth'
        : /\b(?:lid|plate)\b/.test(t) && /\bcover|lid on\b/.test(t) ? 'lid'
          : /\b(?:in|inside) a (?:large |plastic )?bag\b/.test(t) ? 'bag'
            : /\buncovered\b/.test(t) ? 'open' : null;
  return cover ? { place: 'room', cover } : null;
} // prettier-ignore
