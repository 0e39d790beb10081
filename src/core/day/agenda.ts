import type { Plate } from '../heat/parameters';
import type { BlockKind } from './blockKind';
import type { FeedDue } from '../starter/feedsDue';
import type { DayBatchDocument, DayDocument } from './dayDocument';
import { piecesOut } from './piecesOut';

/** One thing to do on a day, or to look at, as it is called out. */
export type DayCallOut =
  | { readonly kind: 'light'; readonly atMs: number; readonly ovenId: string; readonly setC: number; readonly plate: Plate | null }
  | {
      readonly kind: 'block';
      readonly atMs: number;
      readonly untilMs: number;
      readonly batchId: string;
      readonly blockId: string;
      readonly step: BlockKind;
      readonly title: string;
      readonly setC: number | null;
      readonly ovenId: string | null;
      /** By itself: nobody has to be there for it to begin. */
      readonly byItself: boolean;
      readonly state: BlockState;
      readonly feed?: DayBatchDocument['at'][string]['feed'];
      /** It begins with what was put by: so many pieces, and how they were. */
      readonly takeOut?: { readonly pieces: number; readonly as: NonNullable<DayBatchDocument['takenOut']>['as'] };
    }
  | { readonly kind: 'look'; readonly atMs: number; readonly batchId: string; readonly blockId: string; readonly step: BlockKind; readonly title: string }
  /** Out of the oven. */
  | { readonly kind: 'out'; readonly atMs: number; readonly batchId: string; readonly blockId: string; readonly ovenId: string; readonly state: BlockState }
  /** A starter is fed so that it lives on. */
  | { readonly kind: 'keep'; readonly atMs: number; readonly due: FeedDue }
  /** All is cleaned down: after wheat where no allergen is named, else before a batch that is without it. */
  | { readonly kind: 'clean'; readonly atMs: number; readonly clean: NonNullable<DayDocument['cleans']>[number] }
  /** Butter comes out of the fridge. */
  | { readonly kind: 'soften'; readonly atMs: number; readonly batchId: string; readonly lines: NonNullable<DayBatchDocument['softens']>['lines'] }
  | { readonly kind: 'ready'; readonly atMs: number; readonly batchId: string }; // prettier-ignore

type BlockState = 'todo' | 'running' | 'done';

/** What the baker said by hand. */
const saidState = ({ progress, at }: DayBatchDocument, blockId: string): BlockState => {
  const told = progress[blockId];
  if (told) return told.endMs === null ? 'running' : 'done';
  // what lies behind something that has begun is done, whether or not anybody said so
  const endMs = at[blockId]?.endMs ?? Infinity;
  return Object.keys(progress).some((id) => (at[id]?.startMs ?? -Infinity) >= endMs) ? 'done' : 'todo';
};

/**
 * Everything a day calls for, in the order of the clock; as it is saved, without computing anything.
 *
 * @param feeds of the starters that are kept
 * @param stateOf how far a block is, where somebody knows more than the hand has said: the bench
 */
export function agendaOf({ batches, lit, cleans = [] }: DayDocument, feeds: readonly FeedDue[] = [], stateOf: (batch: DayBatchDocument, blockId: string) => BlockState = saidState): DayCallOut[] {
  const calls: DayCallOut[] = [...lit.map((each) => ({ kind: 'light', ...each }) as const), ...feeds.map((due) => ({ kind: 'keep', atMs: due.atMs, due }) as const), ...cleans.map((clean) => ({ kind: 'clean', atMs: clean.atMs, clean }) as const)];
  for (const batch of batches) {
    const blocks = Object.entries(batch.at);
    const firstMs = Math.min(...blocks.map(([, { startMs }]) => startMs));
    const takeOut = batch.takenOut && { pieces: piecesOut(batch), as: batch.takenOut.as };
    for (const [blockId, { startMs, endMs, kind, title, setC, ovenId, handsOn, looksMs, feed }] of blocks) {
      const state = stateOf(batch, blockId);
      calls.push({ kind: 'block', atMs: startMs, untilMs: endMs, batchId: batch.id, blockId, step: kind, title, setC, ovenId, byItself: !handsOn, state, ...(feed && { feed }), ...(takeOut && startMs === firstMs && { takeOut }) });
      if (state === 'done') continue;
      if (ovenId !== null) calls.push({ kind: 'out', atMs: endMs, batchId: batch.id, blockId, ovenId, state });
      for (const atMs of looksMs)
        if (atMs < endMs) calls.push({ kind: 'look', atMs, batchId: batch.id, blockId, step: kind, title });
    }
    // once it is being made nobody has to be told any more
    if (batch.softens && batch.bakeId === null && Object.keys(batch.progress).length === 0) calls.push({ kind: 'soften', batchId: batch.id, ...batch.softens });
    if (blocks.length > 0) calls.push({ kind: 'ready', atMs: Math.max(...blocks.map(([, { endMs }]) => endMs)), batchId: batch.id });
  }
  return calls.sort((a, b) => a.atMs - b.atMs);
} // prettier-ignore

/** A day without the batches whose bakes have ended, and without lighting an oven that nobody wants any more. */
export function withoutEnded(day: DayDocument, hasEnded: (bakeId: string) => boolean): DayDocument {
  const batches = day.batches.filter(({ bakeId }) => bakeId === null || !hasEnded(bakeId));
  const visits = batches.flatMap(({ at }) => Object.values(at));
  const lit = day.lit.filter((one) => {
    const again = Math.min(
      ...day.lit.flatMap(({ ovenId, atMs }) => (ovenId === one.ovenId && atMs > one.atMs ? [atMs] : [])),
      Infinity,
    );
    return visits.some(
      ({ ovenId, startMs }) => ovenId === one.ovenId && startMs >= one.atMs && startMs < again,
    );
  });
  const cleans = (day.cleans ?? []).filter(({ beforeId }) => batches.length > 0 && (beforeId === null || batches.some(({ id }) => id === beforeId)));
  return { batches, lit, ...(cleans.length > 0 && { cleans }), ...(day.notHot && { notHot: day.notHot }) };
} // prettier-ignore

/** So long a call stands that nobody answers. */
const STANDS_MS = 10 * 60_000;
const SOON_MS = 5 * 60_000;

/** What is to be done next: what should have begun and nobody said that it has, else the first that is still to come and asks for somebody. */
export function nextCall(calls: readonly DayCallOut[], nowMs: number): DayCallOut | null {
  const asks = (call: DayCallOut): boolean => {
    switch (call.kind) {
      case 'block':
        return call.state === 'todo' && !call.byItself;
      case 'keep':
        return true;
      case 'out':
        return call.state === 'running' || call.atMs >= nowMs;
      case 'ready':
        return call.atMs >= nowMs - 60_000;
      default:
        // nobody tells that it was done: it stands for a while
        return call.atMs >= nowMs - STANDS_MS;
    }
  };
  const open = calls.filter(asks);
  const [first] = open;
  if (!first) return null;
  const isUnanswered = (call: DayCallOut): boolean => call.atMs < nowMs && (call.kind === 'light' || call.kind === 'look' || call.kind === 'clean' || call.kind === 'soften');
  // whether it was done or not, it gives way to what has to be done now
  return isUnanswered(first) ? (open.find((call) => !isUnanswered(call) && call.atMs <= nowMs + SOON_MS) ?? first) : first;
} // prettier-ignore
