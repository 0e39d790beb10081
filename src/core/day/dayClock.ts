import { GOES_ON, HOT, type BlockKind, type BlockLook } from './blockKind';
import type { DayCallOut } from './agenda';

interface ClockBar {
  readonly fromMs: number;
  readonly toMs: number;
  readonly step: BlockKind;
  readonly title: string;
  readonly look: BlockLook;
  readonly state: 'todo' | 'running' | 'done';
}

/** A dough, its blocks in rows in which none lies over another. */
interface ClockLane {
  readonly batchId: string;
  readonly rows: readonly (readonly ClockBar[])[];
  readonly readyMs: number;
}

/** An oven: heating until its load goes in, or with a load in it. */
interface OvenLane {
  readonly ovenId: string;
  readonly bars: readonly { readonly fromMs: number; readonly toMs: number; readonly bakes: boolean; readonly setC: number | null }[];
} // prettier-ignore

/** The hours around now, as the day has them. */
export interface DayClock {
  readonly fromMs: number;
  readonly toMs: number;
  readonly lanes: readonly ClockLane[];
  readonly ovens: readonly OvenLane[];
  /** Moments that ask for somebody: fed, lit, looked at, cleaned, worked at. */
  readonly hands: readonly { readonly fromMs: number; readonly toMs: number }[];
}

const HOUR_MS = 3_600_000;
/** So much is seen at the least, and where anything is planned so much at the most, unless it begins later. */
const LEAST_MS = 5 * HOUR_MS;
export const CLOCK_MOST_H = 16;
/** A thing of a moment takes so long. */
const MOMENT_MS = 5 * 60_000;

type BlockCall = Extract<DayCallOut, { kind: 'block' }>;

function laneOf(batchId: string, blocks: readonly BlockCall[], nowMs: number): ClockLane {
  const rows: ClockBar[][] = [];
  for (const { atMs, untilMs, step, title, ovenId, byItself, state } of blocks) {
    const bar: ClockBar = { fromMs: atMs, toMs: state === 'running' ? Math.max(untilMs, nowMs) : untilMs, step, title, state, look: ovenId !== null || HOT.has(step) ? 'heat' : byItself || GOES_ON.has(step) ? 'waits' : 'hands' };
    const row = rows.find((each) => each.every(({ toMs }) => toMs <= atMs));
    if (row) row.push(bar);
    else rows.push([bar]);
  }
  return { batchId, rows, readyMs: Math.max(...blocks.map(({ untilMs }) => untilMs)) };
} // prettier-ignore

function ovenLane(ovenId: string, calls: readonly DayCallOut[]): OvenLane {
  const loads = calls.filter((call): call is BlockCall => call.kind === 'block' && call.ovenId === ovenId);
  const heats = calls.flatMap((call) => {
    if (call.kind !== 'light' || call.ovenId !== ovenId) return [];
    const load = loads.find(({ atMs }) => atMs >= call.atMs);
    return load ? [{ fromMs: call.atMs, toMs: load.atMs, bakes: false, setC: call.setC }] : [];
  });
  const bakes = loads.map(({ atMs, untilMs, setC }) => ({ fromMs: atMs, toMs: untilMs, bakes: true, setC }));
  return { ovenId, bars: [...heats, ...bakes].sort((a, b) => a.fromMs - b.fromMs) };
}

/**
 * What lies around now, from the calls of a day as it is saved: nothing is computed anew. From the hour before now to the end of what is planned, so many hours
 * at the most, or two hours beyond what comes first where that is later.
 *
 * @returns null: nothing lies there
 */
export function dayClock(calls: readonly DayCallOut[], nowMs: number, mostH = CLOCK_MOST_H): DayClock | null {
  // a starter that is fed at night stretches no afternoon
  const ends = calls.flatMap((call) => (call.kind === 'block' ? [call.untilMs] : []));
  const coming = calls.filter((call) => (call.kind === 'block' ? call.untilMs : call.atMs) > nowMs);
  if (coming.length === 0) return null;
  const firstMs = Math.min(...coming.map(({ atMs }) => atMs));
  const fromMs = Math.floor((nowMs - HOUR_MS / 2) / HOUR_MS) * HOUR_MS;
  const last = Math.max(nowMs + LEAST_MS, Math.min(Math.max(nowMs, ...ends), nowMs + mostH * HOUR_MS), firstMs + 2 * HOUR_MS);
  const toMs = Math.ceil(last / HOUR_MS) * HOUR_MS;
  const isSeen = (from: number, to: number) => to > fromMs && from < toMs;
  const blocks = calls.filter((call): call is BlockCall => call.kind === 'block' && isSeen(call.atMs, call.untilMs));
  const ovenIds = [...new Set(calls.flatMap((call) => ('ovenId' in call && call.ovenId !== null ? [call.ovenId] : [])))];
  const hands = calls.flatMap((call) => {
    if (call.kind === 'ready') return [];
    if (call.kind !== 'block') return [{ fromMs: call.atMs, toMs: call.kind === 'clean' ? call.clean.untilMs : call.atMs + MOMENT_MS }];
    if (call.byItself) return [];
    // a load asks for somebody when it goes in, what rises when it is begun; that it comes out is a call of its own
    return [{ fromMs: call.atMs, toMs: call.ovenId !== null || GOES_ON.has(call.step) ? call.atMs + MOMENT_MS : call.untilMs }];
  });
  return {
    fromMs,
    toMs,
    lanes: [...new Set(blocks.map(({ batchId }) => batchId))].map((id) => laneOf(id, blocks.filter(({ batchId }) => batchId === id), nowMs)),
    ovens: ovenIds.map((id) => ovenLane(id, calls)).map(({ ovenId, bars }) => ({ ovenId, bars: bars.filter((bar) => isSeen(bar.fromMs, bar.toMs)) })).filter(({ bars }) => bars.length > 0),
    hands: hands.filter((each) => isSeen(each.fromMs, each.toMs)),
  };
} // prettier-ignore
