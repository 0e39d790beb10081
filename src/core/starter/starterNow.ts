import { FERMENTATION } from '../fermentation/parameters';
import type { Feed } from '../fermentation/starter';
import { followedS, ripening, vigourByTop, type StarterStay, type Vigour } from './ripening';
import type { Starter, StarterEvent } from './starterDocument';
import type { StarterPlace } from './starterLimits';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

type Fed = Extract<StarterEvent, { kind: 'fed' }>;

/** A moment that is known about as well as this: as likely before `lowMs` as after `highMs`, one in ten each. */
interface Moment {
  readonly lowMs: number;
  readonly typicalMs: number;
  readonly highMs: number;
}

type StarterState = 'unfed' | 'rising' | 'ripe' | 'past' | 'hungry' | 'resting' | 'thrown';

/** The next feed: so much is kept, so much flour and water come to it. */
export interface NextFeed {
  /** Sooner it is thinned before it is ripe. */
  readonly fromMs: number;
  readonly dueMs: number;
  /** Later it goes hungry. */
  readonly latestMs: number;
  readonly keepG: number;
  readonly flourG: number;
  readonly waterG: number;
  readonly discardG: number;
  readonly why: 'usual' | 'begin' | 'building' | 'resting';
}

/** A starter at one moment, as its log leaves it. */
export interface StarterNow {
  readonly state: StarterState;
  /** What is in its jar, g. */
  readonly massG: number;
  readonly place: StarterPlace;
  readonly fedMs: number | null;
  /** When it may go into a dough, is at its highest, and until when; null: it does not rise where it stands. */
  readonly ripe: { readonly from: Moment; readonly top: Moment; readonly untilMs: number } | null;
  readonly next: NextFeed | null;
  /** In the warm it has to be fed so often before it lifts bread: it comes out of the cold. */
  readonly revivals: number;
  readonly discard: { readonly massG: number; readonly oldestMs: number } | null;
  readonly vigour: Vigour & { readonly marks: number };
  /** How lively it is at its next feed: weaker out of the cold. */
  readonly fedNext: Vigour;
  /** Built: it was at its highest within eight hours twice in a row, came so, or the baker says so. Else on which day it is. */
  readonly built:
    { readonly done: true } | { readonly done: false; readonly day: number; readonly quick: number };
}

/** A mark of the baker tells the vigour so well, relative sd: nobody stands beside the jar. */
const MARK_CV = 0.2;
/** No more marks than the last few: a starter changes. */
const MARKS = 6;
/** One that is being built is slower, and nobody knows how much. */
const YOUNG: Vigour = { value: 0.35, cv: 0.7 };
/** A starter is built that was at its highest so soon after its feed, so often in a row. */
const QUICK = { withinMs: 8 * HOUR_MS, times: 2 } as const;
/** In the cold it loses so much of its vigour a day, down to a third (our own figure). */
const COLD = {
  lossPerDay: 0.03,
  least: 1 / 3,
  dueMs: 7 * DAY_MS,
  latestMs: 14 * DAY_MS,
  fromMs: 2 * DAY_MS,
} as const;
const BUILDING = { slowDays: 3, slowH: 24, quickH: 12 } as const;
const LONGEST_S = 604_800;

interface Stretch {
  readonly fed: Fed;
  readonly stays: readonly { readonly atMs: number; readonly place: StarterPlace; readonly tempC: number }[];
  readonly topMs: number | null;
}

/** The log, the oldest first, parted at the feeds. */
function stretchesOf(log: readonly StarterEvent[]): Stretch[] {
  const parts: Stretch[] = [];
  for (const event of log) {
    if (event.kind === 'fed') parts.push({ fed: event, topMs: null, stays: [event] });
    const last = parts.at(-1);
    if (!last) continue;
    if (event.kind === 'moved') parts[parts.length - 1] = { ...last, stays: [...last.stays, event] };
    if (event.kind === 'top') parts[parts.length - 1] = { ...last, topMs: last.topMs ?? event.atMs };
  }
  return parts;
}

const feedOf = ({ keptG, flourG, waterG, tempC }: Pick<Fed, 'keptG' | 'flourG' | 'waterG' | 'tempC'>): Feed => ({
  // begun from flour and water alone it has what the flour brought
  seed: Math.max(keptG, 0.02 * flourG), flour: flourG, water: waterG, tempC, totalG: Math.max(10, keptG + flourG + waterG),
}); // prettier-ignore

/** Where it stood until a moment, and, the last of it, where it stands. */
function staysUntil({ stays }: Stretch, endMs: number): StarterStay[] {
  return stays.flatMap(({ atMs, tempC }, at): StarterStay[] => {
    const until = stays[at + 1]?.atMs ?? endMs;
    const durationS = Math.min(LONGEST_S, Math.round((until - atMs) / 1000));
    return durationS > 0 ? [{ tempC, durationS }] : [];
  });
}

/** What its marks teach: how lively it is, against the library's; each is held against what the model says of that feed. */
function vigourOf(parts: readonly Stretch[], prior: Vigour): StarterNow['vigour'] {
  let weight = 1 / prior.cv ** 2;
  let sum = Math.log(prior.value) * weight;
  let marks = 0;
  for (const part of parts.filter(({ topMs }) => topMs !== null).slice(-MARKS)) {
    const tookS = (part.topMs! - part.fed.atMs) / 1000;
    if (tookS < 1800) continue;
    const found = vigourByTop(feedOf(part.fed), staysUntil(part, part.topMs! + DAY_MS), tookS);
    if (found === null) continue;
    sum += Math.log(found) / MARK_CV ** 2;
    weight += 1 / MARK_CV ** 2;
    marks += 1;
  }
  return { value: Math.exp(sum / weight), cv: 1 / Math.sqrt(weight), marks };
}

/** @param isAnew it was thrown away once
 * @param log since then; begun anew from flour and water alone it has to be built anew, from somebody's starter it has not */
function builtOf(starter: Starter, isAnew: boolean, log: readonly StarterEvent[], parts: readonly Stretch[], nowMs: number): StarterNow['built'] {
  const first = parts[0]?.fed;
  const begunMs = !isAnew ? starter.begunMs : first?.keptG === 0 ? first.atMs : null;
  if (begunMs === null || log.some(({ kind }) => kind === 'grown')) return { done: true };
  let quick = 0;
  for (const { fed, topMs } of parts)
    if (topMs !== null) quick = topMs - fed.atMs <= QUICK.withinMs ? Math.min(QUICK.times, quick + 1) : 0;
  return quick >= QUICK.times ? { done: true } : { done: false, day: Math.max(1, Math.floor((nowMs - begunMs) / DAY_MS) + 1), quick };
} // prettier-ignore

interface Jar {
  massG: number;
  discards: { massG: number; atMs: number }[];
}

/** What is in the jar and in that of its discard. */
function jarOf(log: readonly StarterEvent[]): Jar {
  const jar: Jar = { massG: 0, discards: [] };
  for (const event of log)
    switch (event.kind) {
      case 'fed': {
        const overG = jar.massG - event.keptG;
        if (event.rest === 'jar' && overG > 0) jar.discards.push({ massG: overG, atMs: event.atMs });
        jar.massG = event.keptG + event.flourG + event.waterG;
        break;
      }
      case 'taken':
        jar.massG = Math.max(0, jar.massG - event.massG);
        break;
      case 'weighed':
        jar.massG = event.massG;
        break;
      case 'thrown':
        // what was taken off it before is no better
        jar.massG = 0;
        jar.discards = [];
        break;
      case 'moved':
      case 'top':
      case 'grown':
        break;
      case 'discardUsed': {
        let left = event.massG;
        // the oldest first
        jar.discards = jar.discards.flatMap((each) => {
          const out = Math.min(each.massG, left);
          left -= out;
          return each.massG - out > 0.5 ? [{ ...each, massG: each.massG - out }] : [];
        });
        break;
      }
    }
  return jar;
} // prettier-ignore

/** How often it is fed in the warm before it lifts bread, by how long it stood in the cold. */
const revivalsOf = (coldMs: number): number =>
  coldMs < 3 * DAY_MS ? 0 : coldMs < 10 * DAY_MS ? 1 : coldMs < 21 * DAY_MS ? 2 : 3;

/** How long it stood in the cold before a moment, without a feed in the warm since. */
function coldBefore(parts: readonly Stretch[], nowMs: number): { readonly coldMs: number; readonly warmFeeds: number } {
  let warmFeeds = 0;
  for (const { stays, fed } of parts.toReversed()) {
    const until = (at: number) => stays[at + 1]?.atMs ?? parts.find((part) => part.fed.atMs > fed.atMs)?.fed.atMs ?? nowMs;
    const coldMs = stays.reduce((sum, { place, atMs }, at) => sum + (place === 'fridge' ? until(at) - atMs : 0), 0);
    if (coldMs > 0) return { coldMs, warmFeeds };
    warmFeeds += 1;
  }
  return { coldMs: 0, warmFeeds };
} // prettier-ignore

/**
 * A starter as it is at a moment: replayed from its log, its rise computed from its last feed along the places where it stood, its vigour learnt from its marks.
 * What the log says of later moments is not known yet.
 */
export function starterNow(starter: Starter, nowMs: number): StarterNow {
  const log = starter.log.filter(({ atMs }) => atMs <= nowMs).sort((a, b) => a.atMs - b.atMs);
  const thrownAt = log.findLastIndex(({ kind }) => kind === 'thrown');
  const since = log.slice(thrownAt + 1);
  const parts = stretchesOf(since);
  const built = builtOf(starter, thrownAt >= 0, since, parts, nowMs);
  const vigour = vigourOf(parts, built.done ? { value: 1, cv: FERMENTATION.wild.cv } : YOUNG);
  const { massG, discards } = jarOf(log);
  const discard = discards.length > 0 ? { massG: discards.reduce((sum, each) => sum + each.massG, 0), oldestMs: discards[0]!.atMs } : null;
  const last = parts.at(-1);
  const { place, tempC } = last?.stays.at(-1) ?? { place: 'room' as const, tempC: 0 };
  const thrown = !last && thrownAt >= 0;
  const plain = { massG, place, discard, vigour, fedNext: vigour, built };
  if (!last) {
    const next = { ...amountsOf(starter, 0), fromMs: nowMs, dueMs: nowMs, latestMs: nowMs + DAY_MS, why: 'begin' as const };
    return { ...plain, state: thrown ? 'thrown' : 'unfed', fedMs: null, ripe: null, next: thrown ? null : next, revivals: 0 };
  }
  const { coldMs, warmFeeds } = coldBefore(parts, nowMs);
  const fedMs = last.fed.atMs;
  // each feed in the warm shares out what the cold has cost
  const weakened = (feeds: number) => (feeds === 0 ? 1 : Math.max(COLD.least, 1 - (COLD.lossPerDay * coldMs) / feeds / DAY_MS));
  const slower = weakened(warmFeeds);
  const fedNext = { value: vigour.value * weakened(warmFeeds + 1), cv: vigour.cv };
  const endMs = Math.max(nowMs, last.stays.at(-1)!.atMs) + (place === 'fridge' ? 0 : 1000 * followedS(tempC));
  const made = ripening(feedOf(last.fed), staysUntil(last, endMs), { ...vigour, value: vigour.value * slower });
  const seen = last.topMs;
  const at = (s: number) => Math.round(fedMs + 1000 * s);
  const moment = (low: number, typical: number, high: number): Moment => ({ lowMs: at(low), typicalMs: at(typical), highMs: at(high) });
  // whoever has seen it at its highest knows better
  const ripe = !made ? null : {
    from: seen === null ? moment(made.fromS.min, made.fromS.typical, made.fromS.max) : exactly(Math.min(seen, at(made.fromS.typical))),
    top: seen === null ? moment(made.topS.low, made.topS.value, made.topS.high) : exactly(seen),
    untilMs: (seen ?? at(made.topS.value)) + 1000 * (made.untilS - made.topS.value),
  };
  const next = nextFeed(starter, { fedMs, massG, place, ripeMs: ripe?.from.typicalMs ?? null, topMs: ripe?.top.typicalMs ?? null, built });
  const revivals = Math.max(0, revivalsOf(coldMs) - warmFeeds);
  return { ...plain, fedNext, fedMs, ripe, next, revivals, state: stateOf(nowMs, place, ripe, next) };
} // prettier-ignore

const exactly = (ms: number): Moment => ({ lowMs: ms, typicalMs: ms, highMs: ms });

function stateOf(nowMs: number, place: StarterPlace, ripe: StarterNow['ripe'], next: NextFeed): StarterState {
  if (nowMs > next.latestMs) return 'hungry';
  if (ripe && nowMs >= ripe.from.typicalMs && nowMs <= ripe.untilMs) return 'ripe';
  if (place === 'fridge') return 'resting';
  return ripe && nowMs > ripe.untilMs ? 'past' : 'rising';
}

const amountsOf = ({ keepG, flourG, waterG }: Starter, massG: number): Pick<NextFeed, 'keepG' | 'flourG' | 'waterG' | 'discardG'> => {
  const keptG = keepG === null ? massG : Math.min(keepG, massG);
  return { keepG: keptG, flourG, waterG, discardG: massG - keptG };
}; // prettier-ignore

interface FedSoFar {
  readonly fedMs: number;
  readonly massG: number;
  readonly place: StarterPlace;
  readonly ripeMs: number | null;
  readonly topMs: number | null;
  readonly built: StarterNow['built'];
}

function nextFeed(starter: Starter, { fedMs, massG, place, ripeMs, topMs, built }: FedSoFar): NextFeed {
  const amounts = amountsOf(starter, massG);
  if (place === 'fridge')
    return { ...amounts, fromMs: fedMs + COLD.fromMs, dueMs: fedMs + COLD.dueMs, latestMs: fedMs + COLD.latestMs, why: 'resting' };
  if (!built.done) {
    const everyMs = (built.day <= BUILDING.slowDays ? BUILDING.slowH : BUILDING.quickH) * HOUR_MS;
    return { ...amounts, fromMs: fedMs + 0.75 * everyMs, dueMs: fedMs + everyMs, latestMs: fedMs + 2 * everyMs, why: 'building' };
  }
  const everyMs = starter.everyH * HOUR_MS;
  // fed before it is ripe it is only thinned
  const dueMs = Math.max(fedMs + everyMs, topMs ?? 0);
  return { ...amounts, fromMs: Math.min(dueMs, ripeMs ?? dueMs), dueMs, latestMs: dueMs + Math.max(12 * HOUR_MS, 0.5 * everyMs), why: 'usual' };
} // prettier-ignore
