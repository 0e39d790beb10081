import { endOfMixing, lossPercent, sheetNow, stepTimes, type BakeRecord, type BakeState } from '../bake';
import { colourCalled, coreOutC, cutCrumb } from '../bake/cameOut';
import { BAND_ENDS, BANDS } from '../consistency/parameters';
import { HEATS, stepS } from '../run/stepTimes';
import { pooled } from '../tasting/pooled';
import type { Forecast } from './forecastSchema';

export type RecordWhat =
  | 'room' | 'dough' | 'feel' | 'mark' | 'riseTime' | 'oven' | 'bakeTime' | 'core' | 'lost' | 'colourAbove' | 'colourBelow' | 'coolTime' | 'heightToWidth' | 'pieces'; // prettier-ignore

interface Span {
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

/** One thing of a bake: as it was planned, as the models had it, as it came. Temperatures in °C, times in s, shares as shares, colours as browning indices. */
export interface RecordRow {
  readonly what: RecordWhat;
  readonly planned: number | null;
  readonly predicted: Span | null;
  /** What was seen; as wide as eye or hand can tell. */
  readonly happened: Span | null;
  /** What was seen lies within eight of ten, or touches them; null: there is nothing to hold against one another. */
  readonly isInside: boolean | null;
  /** Of a mark: s from the end of mixing. */
  readonly atS?: number;
}

/** A photograph tells height to width no better, nor the models. */
const FORM_CV = 0.15;
const point = (value: number): Span => ({ value, low: value, high: value });
/** A score of a colour as browning indices: golden is 4, a step is four times as much. */
const GOLDEN = 4;
const brownOf = (score: number): number => GOLDEN * 4 ** (score - 3);

function row(what: RecordWhat, planned: number | null, predicted: Span | null, happened: Span | null, atS?: number): RecordRow {
  const isInside =
    predicted && happened && predicted.value !== null && happened.low !== null && happened.high !== null
      ? happened.high >= (predicted.low ?? -Infinity) && happened.low <= (predicted.high ?? Infinity)
      : null;
  return { what, planned, predicted, happened, isInside, ...(atS !== undefined && { atS }) };
} // prettier-ignore

/**
 * A bake side by side: planned, predicted, happened. Only what was planned, predicted or seen is in it; how long hands let it rise and bake is theirs to
 * say, and nothing the models could miss.
 */
export function recordRows(bake: BakeRecord, state: BakeState, forecast: Forecast | null): RecordRow[] {
  const sheet = sheetNow(bake.sheet, state);
  const times = stepTimes(bake, state);
  const planned = (is: (kind: string) => boolean) => bake.sheet.steps.filter(({ kind }) => is(kind)).reduce((sum, step) => sum + stepS(step), 0) || null;
  const took = (is: (kind: string) => boolean) => {
    const all = times.filter(({ step }) => is(step.kind)).reduce((sum, { tookS }) => sum + tookS, 0);
    return all > 0 ? point(all) : null;
  };
  const rises = (kind: string) => kind === 'bulk' || kind === 'proof';
  const heats = (kind: string) => HEATS.has(kind as never);
  const read = (of: string) => state.readings.find((reading) => reading.of === of);
  const feeling = state.feelings.at(-1);
  const feltAt = feeling ? BANDS.indexOf(feeling.band) : -1;
  const felt = feeling ? { value: null, low: feltAt > 0 ? BAND_ENDS[BANDS[feltAt - 1]!] : 0, high: Math.min(3, BAND_ENDS[feeling.band]) } : null;
  const { mixedAtMs } = endOfMixing(sheet, state);
  const mixStep = bake.sheet.steps.findLast(({ kind, tempC }) => kind === 'mix' && tempC !== null);
  const baked = bake.sheet.steps.find(({ kind, tempC }) => heats(kind) && tempC !== null);
  const core = coreOutC(state);
  const loss = state.outcome && lossPercent(state.outcome);
  const together = pooled(state.tastings.values(), { occasion: 'fresh' });
  const coloured = (score: number | undefined): Span | null => score === undefined ? null : { value: brownOf(score), low: brownOf(score - 0.75), high: brownOf(score + 0.75) };
  const crumb = cutCrumb(state);
  const heat = forecast?.heat ?? null;
  const form = heat?.heightToWidth ?? null;
  const rows = [
    row('room', null, null, read('room') ? point(read('room')!.tempC) : null),
    row('dough', mixStep?.tempC ?? null, null, read('dough') ? point(read('dough')!.tempC) : null),
    row('feel', null, forecast?.feel ?? null, felt),
    ...state.rises.flatMap(({ atMs, grownPercent }) => {
      if (mixedAtMs === null || atMs <= mixedAtMs) return [];
      const atS = (atMs - mixedAtMs) / 1000;
      return [row('mark', null, forecast && riseAt(forecast.rise, atS), point(1 + grownPercent / 100), atS)];
    }),
    row('riseTime', planned(rises), null, took(rises)),
    row('oven', baked?.tempC ?? null, null, read('oven') ? point(read('oven')!.tempC) : null),
    row('bakeTime', planned(heats), heat?.setS ?? null, took(heats)),
    row('core', coreOf(bake), heat?.coreC ?? null, core === null ? null : point(core)),
    row('lost', null, heat?.lost ?? null, loss === null || loss === undefined ? null : point(loss / 100)),
    row('colourAbove', null, heat?.brownTop ?? null, coloured(together.get('colourAbove')?.mean ?? colourCalled(state) ?? undefined)),
    row('colourBelow', null, heat?.brownBase ?? null, coloured(together.get('colourBelow')?.mean)),
    row('coolTime', planned((kind) => kind === 'cool'), heat?.coolS ?? null, took((kind) => kind === 'cool')),
    row('heightToWidth', null, form === null ? null : { value: form, low: form * (1 - FORM_CV), high: form * (1 + FORM_CV) }, crumb ? point(crumb.heightToWidth) : null),
    row('pieces', bake.sheet.pieces.count, null, state.outcome?.pieces === null || !state.outcome ? null : point(state.outcome.pieces)),
  ];
  return rows
    .map((each) => (OF_HANDS.has(each.what) ? { ...each, isInside: null } : each))
    .filter(({ planned: wanted, predicted, happened }) => happened !== null || (predicted !== null && predicted.value !== null) || wanted !== null);
} // prettier-ignore

/** How long hands let it be. */
const OF_HANDS: ReadonlySet<RecordWhat> = new Set(['riseTime', 'bakeTime', 'coolTime']);

function coreOf({ sheet }: BakeRecord): number | null {
  for (const { cue } of sheet.steps) if (cue?.kind === 'core') return cue.tempC;
  return null;
}

/** The predicted rise at a moment; null: later than it was forecast for. */
function riseAt({ atS, volume, low, high }: Forecast['rise'], tS: number): Span | null {
  const to = atS.findIndex((each) => each >= tS);
  if (to === -1) return null;
  const from = Math.max(0, to - 1);
  const share = atS[to] === atS[from] ? 0 : (tS - atS[from]!) / (atS[to]! - atS[from]!);
  const at = (all: readonly number[]) => all[from]! + share * (all[to]! - all[from]!);
  return { value: at(volume), low: at(low), high: at(high) };
}
