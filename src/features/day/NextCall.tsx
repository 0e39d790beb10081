'use client';
import { nextCall, type DayCallOut } from '@/core/day/agenda';
import { RISES } from '@/core/day/blockKind';
import { longer } from '@/core/day/dayEdit';
import { PROOF_MOST_C } from '@/core/day/proofWarmth';
import type { Plate } from '@/core/heat/parameters';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/day/Agenda';
import { words as callWords } from '@/wording/screens/day/calls';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useDayValue, useDayWords } from './DayContext';

/** A load is due so soon that whoever is there sees whether the oven is hot. */
const SOON_MS = 15 * 60_000;
const MORE_MS = 10 * 60_000;

/** The one thing to do next, legible from across the kitchen; what comes after it small beneath. */
export function NextCall({ calls }: { calls: readonly DayCallOut[] }) {
  const say = useDayWords();
  const { nowMs, edit, day } = useDayValue();
  const next = nextCall(calls, nowMs);
  if (!next)
    return calls.length === 0 ? null : (
      <div className="docket mb-4 rounded-b-md px-5 py-4 text-lg">
        <p>{words.nothingMore}</p>
        <Running calls={calls} />
      </div>
    );
  const awayMs = next.atMs - nowMs;
  const due = awayMs <= 0;
  const batchId = 'batchId' in next ? next.batchId : null;
  const bakeId = day.batches.find(({ id }) => id === batchId)?.bakeId ?? null;
  const then = calls.filter((each) => each !== next && each.atMs >= Math.max(nowMs, next.atMs)).slice(0, 3);
  return (
    <section aria-label={words.next} className="docket mb-4 rounded-b-md px-5 py-4" data-testid="next-call">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="min-w-0">
          <p className={cx('text-lg', due ? 'font-semibold text-alarm' : 'text-soft')}>
            {due ? words.due : words.next} {Math.abs(awayMs) >= 60_000 && (due ? words.ago : words.inTime)(formatDuration(Math.round(Math.abs(awayMs) / 60_000) * 60))}
          </p>
          <p className="figure text-6xl sm:text-7xl">{say.at(next.atMs)}</p>
          <p className="mt-1 text-2xl leading-tight font-semibold sm:text-3xl">
            {say.call(next)}
            {batchId && <span className="font-normal text-soft"> {say.batch(batchId)}</span>}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          {next.kind === 'keep' && <KitchenLink href={`/starters#${next.due.starterId}`} className={buttonClass('strong', 'bench')}>{words.toTheStarters}</KitchenLink>}
          {next.kind === 'block' && bakeId && <KitchenLink href={`/bench/${bakeId}`} className={buttonClass('now', 'bench')}>{words.toTheBench}</KitchenLink>}
          {!edit && next.kind !== 'keep' && <KitchenLink href="/day" className={buttonClass('strong', 'bench')}>{words.wholeDay}</KitchenLink>}
          {edit && next.kind === 'block' && !bakeId && awayMs < 30 * 60_000 && (
            <Button look="now" size="bench" onClick={() => edit({ type: 'begun', batchId: next.batchId, blockId: next.blockId, atMs: nowMs })}>{words.started}</Button>
          )}
          {edit && next.kind === 'block' && next.ovenId !== null && next.setC !== null && next.setC > PROOF_MOST_C && awayMs < SOON_MS && (
            <Button size="bench" onClick={() => edit({ type: 'notHot', ovenId: next.ovenId!, setC: next.setC!, plate: plateOf(calls, next.ovenId!, next.atMs), untilMs: Math.max(nowMs, next.atMs) + MORE_MS })}>{words.notHot}</Button>
          )}
        </div>
      </div>
      <HeldUp />
      <Running calls={calls} />
      {then.length > 0 && (
        <ol className="mt-3 flex flex-wrap gap-x-6 gap-y-1 border-t border-rule pt-2 text-sm">
          {then.map((each, at) => (
            <li key={at}><strong className="tabular-nums">{say.at(each.atMs)}</strong> {say.call(each)}{'batchId' in each && <span className="text-soft"> {say.batch(each.batchId)}</span>}</li>
          ))}
        </ol>
      )}
    </section>
  );
} // prettier-ignore

/** An oven somebody said is not hot yet. */
function HeldUp() {
  const say = useDayWords();
  const { nowMs, edit, day } = useDayValue();
  const held = day.notHot?.filter(({ untilMs }) => untilMs > nowMs) ?? [];
  if (held.length === 0) return null;
  return (
    <ul className="mt-3 grid gap-2 border-t border-rule pt-3">
      {held.map(({ ovenId, untilMs }) => (
        <li key={ovenId} className="flex flex-wrap items-center gap-3 text-lg">
          {words.heldUp(say.oven(ovenId), say.at(untilMs))}
          {edit && <Button className="min-h-11" onClick={() => edit({ type: 'hot', ovenId })}>{words.hot}</Button>}
        </li>
      ))}
    </ul>
  );
} // prettier-ignore

/** What the oven was lit for: a load that waits for a stone waits for that stone. */
const plateOf = (calls: readonly DayCallOut[], ovenId: string, byMs: number) =>
  calls.reduce<Plate | null>((plate, call) => (call.kind === 'light' && call.ovenId === ovenId && call.atMs <= byMs ? call.plate : plate), null); // prettier-ignore

/** What is under way, and that it is done. */
function Running({ calls }: { calls: readonly DayCallOut[] }) {
  const say = useDayWords();
  const { nowMs, edit, day } = useDayValue();
  const running = calls.flatMap((each) => (each.kind === 'block' && each.state === 'running' ? [each] : []));
  if (!edit || running.length === 0) return null;
  return (
        <ul className="mt-3 grid gap-2 border-t border-rule pt-3">
          {running.map((each) => (
            <li key={`${each.batchId} ${each.blockId}`} className="flex flex-wrap items-center gap-3 text-lg">
              <span className="min-w-0">
                {words.running} <strong>{say.call(each)}</strong> <span className="text-soft">{say.batch(each.batchId)}, {callWords.until(say.at(each.untilMs))}</span>
              </span>
              {day.batches.find(({ id }) => id === each.batchId)?.bakeId == null && (
                <>
                  <Button className="min-h-11" onClick={() => edit({ type: 'over', batchId: each.batchId, blockId: each.blockId, atMs: nowMs })}>{words.done}</Button>
                  {(RISES.has(each.step) || each.step === 'thaw') && <Button className="min-h-11" onClick={() => edit(longer(each.batchId, each.blockId, { startMs: each.atMs, endMs: each.untilMs }, nowMs))}>{words.longer}</Button>}
                </>
              )}
            </li>
          ))}
        </ul>
  );
} // prettier-ignore
