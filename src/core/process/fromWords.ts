import { COLOURS } from '../colours';
import type { Moisture, PlateKind } from '../method/heating';
import type { MethodStep } from '../method/step';
import type { Cue, Stands } from '../method/standing';
import { CUE_LIMITS } from '../method/standingLimits';

type Words = Pick<MethodStep, 'title' | 'until' | 'note'>;
type Read = Pick<MethodStep, 'heat' | 'cue' | 'stands'>;

const HEATED: ReadonlySet<MethodStep['kind']> = new Set(['boil', 'griddle', 'fry', 'bake', 'coast']);
const RESTING: ReadonlySet<MethodStep['kind']> = new Set([
  'bloom', 'soak', 'preDough', 'rest', 'bulk', 'proof', 'chill', 'freeze', 'thaw', 'hold', 'cool',
]); // prettier-ignore

const wordsOf = (...texts: readonly string[]): string => texts.join(' ').toLowerCase();
/** "do not chill", "without steam", "no lid": what a word is not said for. */
const REFUSED = /\b(?:not|don['’]t|never|no|without)\s+(?:[\w’']+\s+){0,5}$/;
const speaks = (text: string, pattern: RegExp): boolean => {
  const found = pattern.exec(text);
  return found !== null && !REFUSED.test(text.slice(0, found.index));
};

function plateIn(text: string): PlateKind | null {
  if (speaks(text, /\b(?:iron|cast.?iron|pot|dutch|casserole)\b/)) return 'castIron';
  if (speaks(text, /\bstone\b/)) return 'stone';
  return speaks(text, /\bsteel\b/) ? 'steel' : null;
}

function moistureIn(text: string): Moisture | null {
  if (speaks(text, /\b(?:lid on|lidded|cover(?:ed)? (?:with|by))\b/)) return 'lid';
  if (speaks(text, /\b(?:lid off|uncover(?:ed)?|steam out|water out)\b/)) return 'dry';
  return speaks(text, /\b(?:steam|tray of water)\b/) ? 'steam' : null;
}

/** What lies on something; what is boiled or fried swims, whatever its pot is of. */
const LIES: ReadonlySet<MethodStep['kind']> = new Set(['griddle', 'bake', 'coast']);
/** Heated for what swims in it: nothing that bakes later lies there. On a griddle it may lie in the little fat of its pan. */
const isForSwimming = (words: string, kind: MethodStep['kind']): boolean =>
  (/\b(?:water|kettle|bath)\b/.test(words) || (kind !== 'griddle' && /\b(?:oil|fat|fryer)\b/.test(words))) &&
  !/\boven\b/.test(words);

/**
 * What the words of a heating step leave no doubt of, as fields; a plate that was heated up for it is said with the preheating.
 * @param preheating the words of the method's preheating steps, one by one
 */
function heatIn(
  kind: MethodStep['kind'],
  text: string,
  preheating: readonly string[],
): NonNullable<MethodStep['heat']> {
  const heated = preheating.filter((words) => !isForSwimming(words, kind));
  const on = LIES.has(kind) ? (plateIn(text) ?? plateIn(heated.join(' '))) : null;
  const moist = moistureIn(text);
  return {
    ...(on && { on }),
    ...(moist && { moist }),
    ...(speaks(text, /\bout of (?:the|its) tin\b/) && { inTin: false }),
    ...(speaks(text, /\b(?:topped|sauce|topping)\b/) && { topped: true }),
    ...(speaks(text, /\b(?:on|with) (?:baking |its |a sheet of )?(?:paper|parchment)\b/) && { paper: true }),
  };
}

const COLOUR_WORDS: readonly (readonly [RegExp, (typeof COLOURS)[number]])[] = [
  [/\bdeep(?:ly)?[ -]golden\b/, 'deepGolden'],
  [/\b(?:golden(?:[ -]brown)?|gold)\b/, 'golden'],
  [/\b(?:pale|straw)\b/, 'straw'],
  [/\b(?:dark(?:[ -]brown)?)\b/, 'dark'],
  [/\b(?:well )?brown(?:ed)?\b/, 'brown'],
];

/** How much it has grown where words say it, %. */
function grownIn(text: string): number | null {
  const percent = /\b(?:risen|grown|up|rises|grows) (?:by )?(?:about )?(\d{1,3}) ?%/.exec(text);
  if (percent) return Number(percent[1]);
  if (
    /\bby (?:about |nearly |roughly )?(?:a (?:good )?)?half\b|\bhalf as (?:big|much|high) again\b/.test(text)
  )
    return 50;
  if (/\bby (?:about )?a third\b/.test(text)) return 33;
  if (/\bby (?:about )?a quarter\b/.test(text)) return 25;
  if (/\bby (?:about )?two thirds\b/.test(text)) return 67;
  if (/\bthree quarters\b/.test(text)) return 75;
  if (/\b(?:nearly|almost) doubled?\b/.test(text)) return 85;
  return /\b(?:doubled?|twice (?:its|the) size)\b/.test(text) ? 100 : null;
}

/** What the words of "until" wait for, where they leave no doubt; null: they stay words. */
export function cueIn(kind: MethodStep['kind'], until: string): Cue | null {
  const text = wordsOf(until);
  const core =
    /\b(?:core|middle|inside|centre|center)\b\D{0,24}?(\d{2,3}(?:\.\d)?) ?(?:°|º)? ?c\b|(\d{2,3}(?:\.\d)?) ?(?:°|º)? ?c\b[^.,;]{0,12}\b(?:core|middle|inside|centre|center)\b/.exec(
      text,
    );
  const coreC = core ? Number(core[1] ?? core[2]) : null;
  if (coreC !== null && coreC >= CUE_LIMITS.coreC.min && coreC <= CUE_LIMITS.coreC.max)
    return { kind: 'core', tempC: coreC };
  const grown = HEATED.has(kind) ? null : grownIn(text);
  if (grown !== null && grown >= CUE_LIMITS.grownPercent.min && grown <= CUE_LIMITS.grownPercent.max)
    return { kind: 'grown', percent: grown };
  if (HEATED.has(kind)) {
    const colour = COLOUR_WORDS.find(([pattern]) => speaks(text, pattern))?.[1];
    if (colour) return { kind: 'colour', colour };
    return speaks(text, /\bfloats?|comes? up\b/) ? { kind: 'floats' } : null;
  }
  if (speaks(text, /\bfoam(?:y|s)?|froth(?:y|s)?\b/)) return { kind: 'foam' };
  if (speaks(text, /\bspring(?:s)? back|dent\b/)) return { kind: 'springsBack' };
  return kind === 'cool' && speaks(text, /\bcold|cool(?:ed)?\b/) ? { kind: 'cold' } : null;
}

/**
 * What of a remark says what is waited for: of what is heated or cools only what follows an "until" (a dark tray is no dark crust, and to cool is not to be
 * cold), and what is said of the core.
 */
function waitedFor(kind: MethodStep['kind'], note: string): string {
  if (!HEATED.has(kind) && kind !== 'cool') return note;
  const told = [...note.matchAll(/\b(?:until|till|to an?|when|once|they are|it is|and)\b([^.;]*)/gi)].map(
    ([, said = '']) => said,
  );
  const floats =
    /\bfloats?\b|\bcomes? up\b/i.test(note) && (kind === 'boil' || kind === 'fry') ? 'floats' : '';
  const core =
    /[^.;]*\b(?:core|inside|middle|centre|center)\b(?! (?:shelf|rack|of the oven))[^.;]*/i.exec(note)?.[0] ??
    '';
  const cold = kind === 'cool' && /\bcompletely\b|\bcold\b/i.test(note) ? 'cold' : '';
  return kind === 'cool' ? cold : [...told, core, floats].join('. ');
}

/** Where a step stands, as far as its words say. */
export function standsIn(text: string): Stands | null {
  const place = speaks(text, /(?<!\b(?:out of|from) (?:the )?)\b(?:fridge|refrigerator|refrigerate)\b/) ? 'fridge'
    : speaks(text, /\b(?:freezer|freeze)\b/) ? 'freezer'
      : speaks(text, /\b(?:prover|proofer|proofing box|proving box)\b/) ? 'prover'
        : speaks(text, /\b(?:oven light|light on|lamp on|oven with (?:its|the) (?:light|lamp))\b/) ? 'ovenLight'
          : speaks(text, /\b(?:warm (?:place|box|spot|corner)|airing cupboard)\b/) ? 'warm'
            : speaks(text, /\b(?:room temp(?:erature)?|counter|worktop|on the bench)\b/) ? 'room' : null; // prettier-ignore
  if (!place) return null;
  const cover = speaks(text, /\b(?:film|cling|plastic wrap)\b/) ? 'film'
    : speaks(text, /\bdamp (?:cloth|towel)\b/) ? 'damp'
      : speaks(text, /\b(?:cloth|towel)\b/) ? 'cloth'
        : speaks(text, /\bbag\b/) ? 'bag'
          : speaks(text, /\b(?:lid|plate on top)\b/) ? 'lid' : null; // prettier-ignore
  return { place, ...(cover && { cover }) };
}

/**
 * Reads a step's words into its fields, once, where they are typed or pasted; fields that were set stay as they are. A note is a remark and is
 * read only where a whole text was taken in (`remarks`), for there the words are all there is.
 */
export function fieldsFromWords(
  step: MethodStep,
  steps: readonly MethodStep[],
  remarks: boolean,
): MethodStep {
  const texts = (each: Words) => (remarks ? wordsOf(each.title, each.note) : wordsOf(each.title));
  const preheating = steps.filter(({ kind }) => kind === 'preheat').map(texts);
  const read: Read = {};
  if (HEATED.has(step.kind)) {
    const heat = { ...heatIn(step.kind, texts(step), preheating), ...step.heat };
    if (Object.keys(heat).length > 0) read.heat = heat;
  }
  const cue =
    step.cue ??
    cueIn(step.kind, step.until) ??
    (remarks ? cueIn(step.kind, waitedFor(step.kind, step.note)) : null);
  if (cue) read.cue = cue;
  const stands = step.stands ?? (RESTING.has(step.kind) ? standsIn(texts(step)) : null);
  if (stands) read.stands = stands;
  return { ...step, ...read };
}

/** The same for every step of a method: when a recipe is taken in, and when a formula of before is read. */
export const methodFromWords = (steps: readonly MethodStep[]): MethodStep[] =>
  steps.map((step) => fieldsFromWords(step, steps, true));

type Unchecked = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is Unchecked =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isWorded = (step: unknown): step is MethodStep =>
  isRecord(step) && ['kind', 'title', 'until', 'note'].every((name) => typeof step[name] === 'string');

/** Steps that nobody has checked yet, their words read; what is no step is left for the check. */
const stepsRead = (steps: unknown): unknown => {
  if (!Array.isArray(steps)) return steps;
  const worded = (steps as unknown[]).filter(isWorded);
  return (steps as unknown[]).map((step) => (isWorded(step) ? fieldsFromWords(step, worded, true) : step));
};
/** What is brushed on used to be one kind with what lies on it. */
const stageRead = (stage: unknown): unknown =>
  isRecord(stage) &&
  stage.kind === 'topping' &&
  typeof stage.name === 'string' &&
  /\b(?:wash|brush|glaze)/i.test(stage.name)
    ? { ...stage, kind: 'wash' }
    : stage;
const stagesRead = (stages: unknown): unknown => (Array.isArray(stages) ? stages.map(stageRead) : stages);

/**
 * A formula, or a bake's sheet, of before methods were processes: what its sentences mean is read once, into fields that can be seen and corrected.
 * Whatever is in it that is neither step nor part stays as it is.
 */
export const processFromWords = <F extends Unchecked>(formula: F): F => ({
  ...formula,
  ...('steps' in formula && { steps: stepsRead(formula.steps) }),
  ...('stages' in formula && { stages: stagesRead(formula.stages) }),
});
