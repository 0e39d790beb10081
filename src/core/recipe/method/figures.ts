import { stepTempRangeC, type StepKind } from '../../method/step';
import { mediumOf } from './actions';
import { heatContradictions } from './contradictions';
import { HEATING, type Draft } from './draft';
import type { Heat, Span } from './spans';

const RISES: ReadonlySet<StepKind> = new Set(['bulk', 'proof', 'rest']);
export type SetTo = Partial<Record<'oven' | 'pan' | 'oil', number>>;

const LIQUID = /\b(?:water|milk|liquid|whey|beer|butter|yeast)\b/i;

/** A second time, a limit, a bare number: a question. */
export function spareTimes(draft: Draft, plain: string, spans: readonly Span[]) {
  const bracketed = ({ from }: Span) => plain.lastIndexOf('(', from) > plain.lastIndexOf(')', from);
  const all = spans.filter(({ role }) => role === 'whole' || role === 'side');
  const outside = all.filter((span) => !bracketed(span));
  const whole = outside.length > 0 ? outside : all;
  const limit = spans.find(({ role }) => role === 'upTo');
  const other = spans.find(({ role }) => role === 'other') ?? whole[1];
  const written = draft.texts.at(-1) ?? plain;
  const cold = other?.role === 'other' && /\b(?:fridge|refrigerat\w*|cold)\b/i.test(plain.slice(other.from));
  if (cold && RISES.has(draft.kind)) draft.stands = { place: 'room' };
  // "with a fold every hour": something done meanwhile that no step says
  const meanwhile = draft.kind !== 'fold' && (/\bfolds?\b[^.;]*\bevery\b|\bevery\b[^.;]*\bfolds?\b/i.test(plain) || (RISES.has(draft.kind) && /\bwith (?:an?|one|two|three|four|\d) (?:\w+ )?folds?\b/i.test(plain)));
  if (meanwhile || (other ?? draft.time?.bare))
    draft.doubts.push({
      about: 'time',
      written,
      readings: [draft.time, other].flatMap((span) =>
        span
          ? [{ minS: span.minS, maxS: span.maxS, ...(cold && span === other && { kind: 'chill' as const, stands: { place: 'fridge' as const } }) }]
          : [],
      ),
    });
  else if (limit && !draft.time)
    draft.doubts.push({ about: 'upTo', written, readings: [{ minS: limit.minS, maxS: limit.maxS }, { minS: null, maxS: null }] });
} // prettier-ignore

/** What a clause is heated to, or brought to; a second oven or a number of which nobody can tell the scale is a question. @param setC what oven, pan and oil were set to last */
export function temperature(
  draft: Draft,
  plain: string,
  { heats, unsure }: { readonly heats: readonly Heat[]; readonly unsure: boolean },
  setC: SetTo,
) {
  const { kind } = draft;
  const of = (...roles: Heat['role'][]) => heats.filter(({ role }) => roles.includes(role));
  draft.liquidC ??= of('liquid', 'place')[0]?.tempC ?? null;
  const core = of('core')[0];
  if (core && (HEATING.has(kind) || kind === 'coast')) draft.coreC = core.tempC;
  const mine =
    kind === 'mix' || kind === 'kneadAgain' ? heats.filter(({ role, tempC }) => role === 'dough' || (role === 'place' && tempC >= 15 && tempC <= 40 && !LIQUID.test(plain)))
      : kind === 'bloom' || kind === 'soak' || kind === 'preDough' ? of('liquid', 'place', 'dough')
        : kind === 'preheat' && /\bwater\b|\bkettle\b/i.test(plain) ? []
          : of('place', 'dough', ...(HEATING.has(kind) ? (['liquid'] as const) : [])); // prettier-ignore
  const [first, second] = mine;
  const written = draft.texts.at(-1) ?? plain;
  const range = stepTempRangeC(kind);
  const medium = mediumOf(kind, plain);
  const fits = first && first.tempC >= range.min && first.tempC <= range.max;
  // two scales that disagree: one is a slip, and nobody knows which
  const [slips] = heatContradictions(plain);
  const slipped = slips !== undefined;
  if (first && fits && !(slipped && draft.tempC !== null)) draft.tempC = slipped ? null : first.tempC;
  // several ovens of one clause, or a number of which nobody can tell the scale
  const slip = slipped || (first && !fits && kind !== 'mix') || (second && Math.abs(second.tempC - first!.tempC) > 12) || (unsure && HEATING.has(kind)) || (unsure && kind === 'preheat');
  if (slip)
    draft.doubts.push({
      about: 'heat',
      written,
      readings: [...(slips ? [slips.firstC, slips.secondC] : mine.map(({ tempC }) => tempC)), null].map((tempC) => ({ tempC: tempC === null ? null : Math.round(2 * tempC) / 2 })).filter(
        ({ tempC }) => tempC === null || (tempC >= range.min && tempC <= range.max),
      ),
    });
  if (medium === 'oven' || medium === 'pan' || medium === 'oil') {
    if (draft.tempC !== null && kind !== 'coast') setC[medium] = draft.tempC;
    else if (HEATING.has(kind) && kind !== 'boil' && !slipped) draft.tempC = setC[medium] ?? null;
  }
} // prettier-ignore
