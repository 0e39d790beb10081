import {
  endOfMixing,
  inAlreadyG,
  sheetNow,
  stepTimes,
  takenUpG,
  targetG,
  type BakeRecord,
  type BakeState,
} from '../bake';
import { colourCalled, coreOutC, cutCrumb } from '../bake/cameOut';
import { isAskedFor } from '../batch/askedFor';
import { BAND_AIMS } from '../consistency/parameters';
import { isDoughStage } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { HEATS, stepS } from '../run/stepTimes';
import type { MethodStep } from '../method/step';
import { pooled } from '../tasting/pooled';
import type { Seen } from './diagnose';
import { factorOf, type Factor } from './factors';
import type { SignId } from './signs';

/** A dough that has hardly moved, or sunk: as little as a logarithm bears. */
const LEAST_GROWN = 0.02;
/** More marks of one day tell hardly more. */
const MOST_MARKS = 2;
/** Left out altogether, as a logarithm. */
const NONE = -4;
/** What is told later than that was written down later: of when it was cut it says nothing. */
const SAME_DAY_S = 12 * 3600;
const WEIGHED = ['water', 'binder', 'salt', 'leaven'] as const satisfies readonly Factor[];

/** When the dough had risen how far, s from the end of mixing: the newest marks. */
export function marksOf(
  bake: BakeRecord,
  state: BakeState,
): { readonly atS: number; readonly grown: number }[] {
  const { mixedAtMs } = endOfMixing(sheetNow(bake.sheet, state), state);
  if (mixedAtMs === null) return [];
  return state.rises
    .filter(({ atMs }) => atMs > mixedAtMs)
    .slice(-MOST_MARKS)
    .map(({ atMs, grownPercent }) => ({ atS: (atMs - mixedAtMs) / 1000, grown: 1 + grownPercent / 100 }));
}

/** Amounts over what they were meant to be, by what they are for; only where all of it was weighed, or said to be left out. */
function weighedOf({ sheet }: BakeRecord, state: BakeState, book: IngredientBook): Seen[] {
  const lines = sheet.stages.filter(isDoughStage).flatMap((stage) => stage.lines).filter((line) => !line.later);
  return WEIGHED.flatMap((factor): Seen[] => {
    const mine = lines.filter((line) => factorOf(line.ingredientId, book) === factor && (isAskedFor(line) || state.weighed.has(line.id)));
    if (mine.length === 0 || mine.some((line) => !state.weighed.has(line.id) && !state.leftOut.has(line.id))) return [];
    const plannedG = mine.filter(isAskedFor).reduce((sum, line) => sum + line.massG, 0);
    const addedG = state.additions.reduce((sum, each) => sum + (factorOf(each.ingredientId, book) === factor ? takenUpG(each) : 0), 0);
    const isG = mine.reduce((sum, line) => sum + (state.leftOut.has(line.id) ? 0 : Math.min(inAlreadyG(line.id, state), 20 * targetG(line, state))), 0) + addedG;
    return plannedG > 0 ? [{ sign: `made.${factor}`, value: Math.max(NONE, Math.log(Math.max(1e-9, isG / plannedG))) }] : [];
  });
} // prettier-ignore

const longestS = (step: MethodStep): number => stepS({ ...step, minS: step.maxS ?? step.minS, maxS: null });

function timesOf(bake: BakeRecord, state: BakeState): Seen[] {
  const times = stepTimes(bake, state).filter(({ step }) => state.steps.get(step.id)?.timer);
  const planned = new Map(bake.sheet.steps.map((step) => [step.id, step]));
  const ratio = (is: (kind: string) => boolean, sign: SignId): Seen[] => {
    const mine = times.filter(({ step }) => is(step.kind) && planned.has(step.id));
    const tookS = mine.reduce((sum, each) => sum + each.tookS, 0);
    const least = mine.reduce((sum, { step }) => sum + stepS({ ...planned.get(step.id)!, maxS: null }), 0);
    const most = mine.reduce((sum, { step }) => sum + longestS(planned.get(step.id)!), 0);
    if (least <= 0 || tookS <= 0) return [];
    // anything inside of what is written is as it is written
    const meant = Math.min(Math.max(least, most), Math.max(least, tookS));
    return [{ sign, value: Math.log(tookS / meant) }];
  };
  return [
    ...ratio((kind) => kind === 'bulk' || kind === 'proof', 'made.proof'),
    ...ratio((kind) => HEATS.has(kind as never), 'made.bake'),
  ];
}

/** How long after it came out it was first cut, s: by the first slice that was tasted or photographed; null: nobody knows. */
function cutAfterS({ sheet }: BakeRecord, state: BakeState): number | null {
  const out = sheet.steps.flatMap((step) => (HEATS.has(step.kind) ? (state.steps.get(step.id)?.doneAtMs ?? []) : []));
  if (out.length === 0) return null;
  const slices = [
    ...[...state.tastings.values()].filter(({ occasion }) => occasion === 'fresh').map(({ atMs, before }) => before[0]?.atMs ?? atMs),
    ...[...state.photos.values()].filter((photo) => photo.of === 'cut').map(({ atMs }) => atMs),
  ].filter((atMs) => atMs > Math.max(...out));
  return slices.length === 0 ? null : (Math.min(...slices) - Math.max(...out)) / 1000;
} // prettier-ignore

/** What is asked of a kitchen to read a bake's log: how its oven is off already. */
export interface Surroundings {
  readonly book: IngredientBook;
  readonly ovenOffsetC: number;
  /** When it may be cut by the models, s after it came out. */
  readonly firmAfterS: number;
}

/**
 * All that a bake's log says of how it was made and how it came out, as signs. What nobody wrote down is not in it; bakes of several breads have
 * one set of signs only where they are one bread.
 */
export function evidenceOf(bake: BakeRecord, state: BakeState, around: Surroundings): Seen[] {
  const { outcome } = state;
  const seen: Seen[] = [];
  for (const occasion of ['fresh', 'nextDay'] as const)
    for (const [id, { mean, count }] of pooled(state.tastings.values(), { occasion }))
      seen.push({ sign: `${occasion}.${id}`, value: mean, count });
  const has = (sign: SignId) => seen.some((each) => each.sign === sign);
  const called = colourCalled(state);
  if (called !== null && !has('fresh.colourAbove')) seen.push({ sign: 'fresh.colourAbove', value: called });
  const core = coreOutC(state);
  if (core !== null) seen.push({ sign: 'read.core', value: core });
  if (outcome?.massBeforeG && outcome.massAfterG)
    seen.push({ sign: 'read.lost', value: Math.log(Math.max(0.005, 1 - outcome.massAfterG / outcome.massBeforeG)) });
  const dough = state.readings.find((reading) => reading.of === 'dough');
  if (dough) seen.push({ sign: 'read.doughC', value: dough.tempC });
  const feeling = state.feelings.at(-1);
  if (feeling) seen.push({ sign: 'read.feel', value: Math.log(BAND_AIMS[feeling.band]) });
  const oven = state.readings.findLast((reading) => reading.of === 'oven');
  const setC = oven && (bake.sheet.steps.find(({ id, tempC }) => id === oven.stepId && tempC !== null)?.tempC ?? state.lit.at(-1)?.setC ?? bake.sheet.steps.find(({ kind, tempC }) => kind === 'bake' && tempC !== null)?.tempC);
  if (oven && setC) seen.push({ sign: 'read.ovenC', value: oven.tempC - setC - around.ovenOffsetC });
  marksOf(bake, state).forEach(({ grown }, index) => {
    seen.push({ sign: `mark.${index}`, value: Math.log(Math.max(LEAST_GROWN, grown - 0.95)) });
  });
  const crumb = cutCrumb(state);
  if (crumb)
    seen.push(
      { sign: 'photo.porosity', value: Math.log(Math.max(2, crumb.porosityPercent)) },
      { sign: 'photo.heightToWidth', value: Math.log(crumb.heightToWidth) },
      { sign: 'photo.evenness', value: crumb.evenness },
      { sign: 'photo.tunnel', value: crumb.tunnelPercent },
      { sign: 'photo.denseLine', value: crumb.denseLinePercent },
    );
  seen.push(...weighedOf(bake, state, around.book), ...timesOf(bake, state));
  const cutS = cutAfterS(bake, state);
  // the first look is at the latest when it was cut: later than it may be cut says only that
  if (cutS !== null && cutS < SAME_DAY_S) seen.push({ sign: 'made.cut', value: Math.max(-3, Math.min(0, Math.log(Math.max(60, cutS) / around.firmAfterS))) });
  return seen;
} // prettier-ignore
