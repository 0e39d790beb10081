import type { Moisture } from '../../method/heating';
import type { MethodStep, StepKind } from '../../method/step';
import { actionOf, GELS, makesDough, makesOf, mediumOf } from './actions';
import { clausesOf, sentencesOf, type Clause } from './clauses';
import { GOES_ON, HEATING, stepsOf, type Draft, type StepAsk } from './draft';
import { atATimeOf, dividedInto, moistOf, timesOf } from './fields';
import { spareTimes, temperature, type SetTo } from './figures';
import type { Action, Stage } from './rules';
import { heatsIn, plainNumbers, spansIn, type Heat, type Span } from './spans';

export interface MethodReading {
  readonly steps: readonly MethodStep[];
  readonly asks: readonly StepAsk[];
  /** What a divide step says of the pieces. */
  readonly divided: { readonly pieces: number | null; readonly pieceMassG: number | null };
  /** Words that no step has room for. */
  readonly over: readonly string[];
}

/** A paragraph of the method; `aside`: it is about a sauce or a bath, under a heading of its own. */
export interface Paragraph {
  readonly text: string;
  readonly aside: boolean;
}

/** Each of these is one thing however many sentences tell it. */
const ONE_VISIT: ReadonlySet<StepKind> = new Set(['bake', 'fry', 'boil', 'griddle']);

/** What was written before anything was understood of it: the likeliest first. */
function likeliest({ mixed, shaped, heated }: Stage): StepKind[] {
  if (heated) return ['bake', 'cool', 'rest'];
  if (shaped) return ['proof', 'rest', 'bake'];
  return mixed ? ['bulk', 'rest', 'mix'] : ['rest', 'mix', 'soak'];
}

/** Reads the paragraphs of one method, in order: what one sentence says (an oven heated, a dough shaped) is known to the next. */
export function readMethod(paragraphs: readonly Paragraph[], newId: () => string): MethodReading {
  // a method that mixes nothing begins with the dough
  const mixes = paragraphs.some(({ text, aside }) => !aside && MIXES.test(text));
  const reader = new MethodReader(!mixes);
  paragraphs.forEach((paragraph, index) => reader.paragraph(paragraph, index));
  return reader.result(newId);
}

const MIXES =
  /\b(?:mix|whisk|stir|knead|combine|beat|blend|whizz?|whip|add|sift|work|incorporate|dissolve|weigh|measure|toast|feed|yeast|psyllium|pour|soak|grind|scald|starter|sponge|biga|poolish|leaven|levain|bloom|activate)\w*\b/i;

class MethodReader {
  constructor(mixed: boolean) {
    this.stage = { ...this.stage, mixed };
  }

  private readonly drafts: Draft[] = [];
  private stage: Stage = { mixed: false, risen: false, shaped: false, heated: false, off: false, medium: null, aside: false, last: null }; // prettier-ignore
  private readonly setC: SetTo = {};
  private divided: { pieces: number | null; pieceMassG: number | null } = { pieces: null, pieceMassG: null };
  /** Words that belong to the step that comes next. */
  private ahead: string[] = [];
  private turned = false;
  /** The sentence is a paragraph of its own. */
  private alone = true;
  private at = 0;

  paragraph({ text, aside }: Paragraph, index: number) {
    this.at = index;
    this.stage = { ...this.stage, aside };
    const sentences = sentencesOf(text);
    const makes = /\bmakes (\d{1,3})\b/i.exec(text);
    if (makes) this.divided = { ...this.divided, pieces: Number(makes[1]) };
    this.alone = sentences.length === 1;
    for (const sentence of sentences) for (const clause of clausesOf(sentence)) this.clause(clause);
    this.flush();
  }

  private get last(): Draft | undefined {
    return this.drafts.at(-1);
  }

  /** What was to come before a step that did not come. */
  private flush() {
    if (this.ahead.length === 0) return;
    if (this.last) this.last.texts.push(...this.ahead);
    else this.start('free', null, []);
    this.ahead = [];
  }

  private start(kind: StepKind, time: Span | null, texts: readonly string[]): Draft {
    const draft: Draft = {
      kind, texts: [...this.ahead, ...texts], time, tempC: null, coreC: null, liquidC: null, moist: null, sides: null, again: null, atATime: null, stands: null,
      paragraph: this.at, doubts: [],
    }; // prettier-ignore
    this.ahead = [];
    this.drafts.push(draft);
    return draft;
  }

  private clause({ text, goesOn }: Clause) {
    const { last } = this;
    this.stage = { ...this.stage, last: last ? { kind: last.kind, text: last.texts.join(' ') } : null };
    const plain = plainNumbers(text);
    const spans = spansIn(plain);
    const { heats, unsure } = heatsIn(plain);
    const time = spans.find(({ role }) => role === 'whole' || role === 'side') ?? null;
    const before = this.last;
    this.leadTime(spans, plain);
    const hot = heats.some(({ role, tempC }) => role === 'place' && tempC >= 120);
    const more =
      goesOn && before !== undefined && GOES_ON.has(before.kind) && (!hot || HEATING.has(before.kind));
    // "1 hour, or overnight in the fridge": what is done is what stands before the other way to do it
    const other = spans.find(({ role }) => role === 'other');
    const own =
      other && time ? plain.slice(0, Math.max(time.to, plain.lastIndexOf(' or ', other.from))) : plain;
    const action: Action = more ? before.kind : actionOf(own, this.stage, time?.minS ?? 0);
    switch (action) {
      case 'remark':
        return this.remark(text);
      case null:
        return this.unknown(text, plain, { spans, heats, time });
      case 'off':
        this.stage = { ...this.stage, off: true };
        return this.remark(text);
      case 'ahead':
        return void this.ahead.push(text);
      case 'uncover':
        this.ahead.push(text);
        this.turned = before?.time !== null;
        return;
      case 'repeat':
        return this.repeat(text, plain, spans);
      case 'turnSide':
        if (!time || !before) {
          const after = spans.find(({ role }) => role === 'moment');
          if (before && !before.time && after && HEATING.has(before.kind))
            before.time = { ...after, role: 'whole' };
          this.turned = true;
          return this.remark(text);
        }
        this.fill(this.start(before.kind, time, [text]), plain, spans, heats, unsure);
        return;
      case 'lower':
        return this.lower(text, plain, { spans, heats, time });
      default:
        this.step(action, text, plain, { spans, heats, time, unsure, more });
    }
  }

  /** "After 20 minutes lower the oven …" tells how long the step before took. */
  private leadTime(spans: readonly Span[], plain: string) {
    const [first] = spans;
    if (first?.role !== 'moment' || !/^(?:and |then )?after\b/i.test(plain.trim()) || first.from > 30) return;
    const before = this.drafts.findLast(({ kind }) => kind !== 'score' && kind !== 'top');
    if (before && !before.time && (HEATING.has(before.kind) || GOES_ON.has(before.kind)))
      before.time = { ...first, role: 'whole' };
  }

  private remark(text: string) {
    if (this.last) this.last.texts.push(text);
    else this.ahead.push(text);
  }

  private unknown(text: string, plain: string, { spans, heats, time }: Found) {
    if (
      this.stage.aside &&
      this.last?.kind === 'free' &&
      this.last.paragraph === this.at &&
      !this.last.time
    ) {
      this.last.time = time;
      return this.remark(text);
    }
    if (this.belongsToLast(text, plain, { spans, heats, time })) return;
    const told = spans.length > 0 || heats.some(({ role }) => role === 'place');
    if (!told) {
      if (this.last?.paragraph === this.at || !this.alone) return this.remark(text);
      this.start('free', null, [text]);
      return;
    }
    // a time of a sauce is nobody's question
    if (this.stage.aside) return void this.fill(this.start('free', time, [text]), plain, spans, heats, false);
    const draft = this.start('free', time, [text]);
    draft.doubts.push({
      about: 'kind',
      written: text,
      readings: likeliest(this.stage).map((kind) => ({
        kind,
        ...(time && { minS: time.minS, maxS: time.maxS }),
      })),
    });
    const place = heats.find(({ role }) => role === 'place');
    if (place) draft.tempC = place.tempC;
  }

  /** What has no verb of its own and still is clear: the dough's or the core's temperature, the time of what was just named, "then 10 minutes more". */
  private belongsToLast(text: string, plain: string, { spans, heats, time }: Found): boolean {
    const { last, stage } = this;
    const dough = heats.find(({ role }) => role === 'dough');
    const mixing = this.drafts.findLast(({ kind }) => kind === 'mix' || kind === 'kneadAgain');
    if (dough && !time && mixing) {
      mixing.tempC ??= dough.tempC;
      mixing.texts.push(text);
      return true;
    }
    const core = heats.find(({ role }) => role === 'core');
    if (core && !time && last && (HEATING.has(last.kind) || last.kind === 'coast')) {
      last.coreC = core.tempC;
      last.texts.push(text);
      return true;
    }
    if (!time) return false;
    const hot = heats.find(({ role, tempC }) => role === 'place' && tempC >= 120);
    const again = /^(?:and )?(?:then|another|one more|a further|\d+ more)\b/i.test(plain.trim());
    // nobody mixes for an hour: so long a time is of something else
    const tooLong = (last?.kind === 'mix' || last?.kind === 'kneadAgain') && time.minS > MIXES_AT_MOST_S;
    const open = last && last.paragraph === this.at && !last.time && GOES_ON.has(last.kind) && !this.stage.aside && !tooLong;
    // what is hot is what it goes into: "kettle at a simmer; 45 seconds per side"
    const ready = last?.kind === 'preheat' && last.paragraph === this.at && stage.shaped && !stage.aside && !/\boven\b/i.test(plain) ? COOKS_IN[stage.medium ?? 'oven'] : null;
    const kind = open || (again && last && GOES_ON.has(last.kind)) ? last.kind : hot && stage.shaped && !stage.aside ? 'bake' : (ready ?? null);
    if (kind === null) return false;
    this.step(kind, text, plain, { spans, heats, time, unsure: false, more: !open });
    return true;
  } // prettier-ignore

  private repeat(text: string, plain: string, spans: readonly Span[]) {
    const before = this.last;
    const times = timesOf(plain, true);
    const every = spans.find(({ role }) => role === 'every' || role === 'moment') ?? null;
    if (!before || times === null || /\b(?:remaining|rest of|other|second (?:sheet|tray|batch|half))\b/i.test(plain)) return this.remark(text);
    before.texts.push(text);
    const fold = this.drafts.at(-2);
    if (before.kind === 'rest' && fold?.kind === 'fold') {
      fold.again = { times, everyS: before.time?.minS ?? null };
      return;
    }
    // rest and fold by turns: what is repeated is the fold, and the rest lies between
    before.again = { times: (before.again?.times ?? 1) - 1 + times, everyS: every?.minS ?? before.again?.everyS ?? null };
  } // prettier-ignore

  private lower(text: string, plain: string, found: Found) {
    const place = found.heats.find(({ role }) => role === 'place');
    if (place) this.setC.oven = place.tempC;
    const { last } = this;
    // put in hot and turned down at once: what it bakes at is the second
    if (place && last?.kind === 'bake' && !last.time && !found.time) last.tempC = place.tempC;
    const time = found.time ?? found.spans.find(({ role }) => role === 'last') ?? null;
    if (time) {
      const whole: Span = { ...time, role: 'whole' };
      return this.step('bake', text, plain, {
        ...found,
        spans: [whole],
        time: whole,
        unsure: false,
        more: false,
      });
    }
    if (this.stage.heated || place) this.ahead.push(text);
    else this.remark(text);
    // another stretch begins, even where the last one did not say how long it was
    this.turned = this.last?.kind === 'bake' && this.last.time !== null;
  }

  private step(kind: StepKind, text: string, plain: string, { spans, heats, time, unsure, more }: Found & { unsure: boolean; more: boolean }): void {
    const { last } = this;
    const aside = this.stage.aside && kind !== 'boil' && kind !== 'fry';
    // psyllium whisked into water for so long is a gel that forms, not a dough that is mixed
    const gels = kind === 'mix' && time !== null && !this.stage.mixed && GELS.test(plain) && /\bwater\b/i.test(plain) && !makesOf(plain);
    const as: StepKind = gels ? 'soak' : aside ? (kind === 'preheat' ? 'preheat' : 'free') : kind;
    const medium = mediumOf(as, plain);
    if (as === 'bake' && last?.kind === 'cool' && !last.time && !/\bcool|rack\b/i.test(last.texts.join(' '))) {
      // taken out of the tin to go back into the oven: nothing cools
      this.drafts.pop();
      this.ahead.unshift(...last.texts);
      this.turned = true;
    }
    if (as === 'bloom' && last?.kind === 'mix' && !last.time && !this.stage.mixed && last.paragraph === this.at) {
      last.kind = 'bloom';
      last.tempC = last.liquidC;
    }
    // what is done goes on; "heat the oven" once more is not another oven
    const joins =
      last !== undefined && !more && !this.turned && last.kind === as && this.drafts.at(-1) === last &&
      (last.paragraph === this.at || ONE_VISIT.has(as)) &&
      (!last.time || !time) && as !== 'fold' && !(as === 'cool' && last.time) &&
      (as !== 'preheat' || mediumOf('preheat', plainNumbers(last.texts.join(' '))) === medium) && (as !== 'preheat' || !heats.some(({ role }) => role === 'place') || last.tempC === null);
    if (SHORT_WORK.has(as) && time && time.minS >= RISES_IN_S) {
      const comma = text.indexOf(',');
      const [first, rest] = comma < 0 ? [text, ''] : [text.slice(0, comma), text.slice(comma + 1).trim()];
      const found = { spans, heats, time, unsure, more };
      const nothing = { spans: [], heats: [], time: null, unsure, more };
      // "once risen (1 hour), shape it": what rose before it
      if (/^(?:once|when|as soon as)\b/i.test(text)) {
        this.step('bulk', first, plain, found);
        return this.step(as, rest, plain, nothing);
      }
      // "into the tin, 50 minutes, until it reaches the rim": two steps, the words shared out
      this.step(as, first, plain, nothing);
      return this.step(as === 'knockBack' ? 'bulk' : 'proof', rest, plain, found);
    }
    this.turned = false;
    const before = this.ahead.join('. ');
    const draft = joins ? last : this.start(as, time, []);
    if (joins) {
      draft.texts.push(...this.ahead);
      this.ahead = [];
      draft.time ??= time;
    }
    draft.texts.push(text);
    const moist = HEATING.has(as) && as !== 'boil' ? moistOf(before) : null;
    if (moist) draft.moist = moist;
    this.fill(draft, plain, spans, heats, unsure);
    this.after(as, plain, medium);
  } // prettier-ignore

  /** What a step changes for the sentences after it. */
  private after(kind: StepKind, plain: string, medium: Stage['medium']) {
    const { stage } = this;
    this.stage = {
      ...stage,
      ...(medium && { medium }),
      mixed: stage.mixed || (kind === 'mix' && makesDough(plain)) || kind === 'kneadAgain',
      risen: stage.risen || kind === 'bulk' || kind === 'knockBack' || (kind === 'chill' && stage.mixed),
      shaped: stage.shaped || kind === 'shape' || kind === 'proof' || kind === 'fill' || kind === 'divide',
      heated: stage.heated || (HEATING.has(kind) && kind !== 'boil'),
      off: kind === 'coast' ? stage.off : stage.off && kind !== 'preheat',
    };
    // strands of one loaf are no pieces
    if (kind === 'shape' && /\b(?:braid|plait)\b/i.test(plain)) this.divided = { pieces: null, pieceMassG: null };
    else if (kind === 'divide' || ((kind === 'shape' || kind === 'griddle') && this.divided.pieces === null)) {
      const { pieces, pieceMassG } = dividedInto(plain);
      this.divided = { pieces: this.divided.pieces ?? pieces, pieceMassG: this.divided.pieceMassG ?? (kind === 'divide' || pieces !== null ? pieceMassG : null) };
    }
  } // prettier-ignore

  /** The figures of a clause into the step they belong to; what finds no place is a question. */
  private fill(draft: Draft, plain: string, spans: readonly Span[], heats: readonly Heat[], unsure: boolean) {
    const { kind } = draft;
    // covered after a while so that it does not burn: no lid of the whole
    const late = /\b(?:cover|tent)\b/i.test(plain) && spans.some(({ role }) => role === 'moment');
    if (HEATING.has(kind) && kind !== 'boil' && !late) draft.moist = moistOf(plain) ?? draft.moist;
    if (late) draft.moist ??= 'dry';
    draft.atATime ??= HEATING.has(kind) ? atATimeOf(plain) : null;
    if (spans.some(({ role }) => role === 'side')) draft.sides = 2;
    const every = spans.find(({ role }) => role === 'every');
    const times = kind === 'fold' || kind === 'kneadAgain' ? timesOf(plain, false) : null;
    if (times !== null) draft.again = { times, everyS: every?.minS ?? null };
    temperature(draft, plain, { heats, unsure }, this.setC);
    spareTimes(draft, plain, spans);
    this.parts(draft, spans);
  }

  /** "40 minutes, the first 15 with steam" is two steps of one baking. */
  private parts(draft: Draft, spans: readonly Span[]) {
    const part = spans.find(({ role }) => role === 'first' || role === 'last');
    const { time } = draft;
    if (!part) return;
    if (!time) {
      draft.time = { ...part, role: 'whole' };
      return;
    }
    if (draft.kind !== 'bake' || part.minS >= time.minS) return;
    const rest = (from: number | null) => (from === null ? null : from - part.minS);
    const others: Span = { ...time, minS: time.minS - part.minS, maxS: rest(time.maxS) };
    const isFirst = part.role === 'first';
    const moist = draft.moist ?? 'dry';
    // "the last 10 without steam": the rest has it
    const wet: Moisture = draft.texts.some((text) => /\bsteam\b/i.test(text)) ? 'steam' : 'lid';
    const opposite: Moisture = moist === 'dry' ? wet : 'dry';
    draft.time = isFirst ? { ...part, role: 'whole' } : others;
    draft.moist = isFirst ? moist : opposite;
    const second = this.start('bake', isFirst ? others : { ...part, role: 'whole' }, []);
    second.moist = isFirst ? opposite : moist;
    second.tempC = draft.tempC ?? this.setC.oven ?? null;
  }

  result(newId: () => string): MethodReading {
    return { ...stepsOf(this.drafts, newId), divided: this.divided };
  }
}

/** What is done in what was made hot. */
const COOKS_IN: Readonly<Record<NonNullable<Stage['medium']>, StepKind | null>> = { water: 'boil', oil: 'fry', pan: 'griddle', oven: null }; // prettier-ignore

const MIXES_AT_MOST_S = 1800;
const SHORT_WORK: ReadonlySet<StepKind> = new Set(['shape', 'divide', 'knockBack']);
/** Shaping takes minutes: what takes so long is the rise after it, s. */
const RISES_IN_S = 1200;

interface Found {
  readonly spans: readonly Span[];
  readonly heats: readonly Heat[];
  readonly time: Span | null;
}
