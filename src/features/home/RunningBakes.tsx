'use client';
import { ChefHat, Clock3, Flame, NotebookPen, Pause, Scale } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { benchCalls, type BenchCall, type RunningCard } from '@/core/bake';
import { formatClock, formatDuration } from '@/core/units';
import { buttonClass } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { wordCall } from '@/wording/calls';
import { words as callWords } from '@/wording/screens/day/calls';
import { words } from '@/wording/screens/home/RunningBakes';
import { STEP_WORD } from '@/wording/words';
import { ask } from '../asking/ask';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { useNews } from '../news/useNews';
import { useBenchesKept } from '../offline/useOffline';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';

/** A bake under way as the server lists it. */
export interface RunningBake extends RunningCard {
  readonly id: string;
  readonly startedAtMs: number;
}

/** While nothing is told the server is asked so often. */
const ASK_MS = 30_000;

/** What all bakes under way ask for: the one next thing large, then what else is to be done, what comes next and what waits by itself. */
export function RunningBakes({ bakes, nowMs }: { bakes: readonly RunningBake[]; nowMs: number }) {
  const { page } = useKitchen();
  const router = useRouter();
  useBenchesKept(bakes.map(({ id }) => page(`/bench/${id}`)));
  const refresh = async () => {
    // without an answer the router would load the whole page again, and again
    if ((await ask('/api/health')).kind === 'ok') router.refresh();
  };
  useNews(({ of }) => of === 'bake', () => void refresh(), ASK_MS, { atOnce: false });
  const [offsetMs] = useState(() => clockOffsetMs(nowMs));
  const now = useNow(offsetMs, nowMs);
  const calls = benchCalls(bakes, now);
  const [first] = calls;
  if (!first) {
    return (
      <div className="docket rounded-b-md p-6">
        <p className="font-head text-2xl font-semibold">{words.nothingIsInProgress}</p>
        <p className="mt-1 text-soft">{words.openAFormulaSayHow}</p>
        <KitchenLink href="/formulas" className={buttonClass('strong', 'table', 'mt-4 min-h-11 px-5')}>
          {words.chooseAFormula}
        </KitchenLink>
      </div>
    );
  }
  const rest = calls.slice(1);
  const startedAtMs = bakes.find(({ id }) => id === first.bakeId)?.startedAtMs ?? nowMs;
  const whoseIs = (bakeId: string) => bakes.find(({ id }) => id === bakeId)?.withWhom ?? null;
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
      <FirstCall call={first} now={now} startedAtMs={startedAtMs} who={whoseIs(first.bakeId)} />
      {rest.length > 0 && (
        <ul data-testid="other-calls">
          {rest.map((call) => (
            <CallLine key={`${call.bakeId} ${call.asked.kind} ${'stepId' in call.asked ? call.asked.stepId : ''}`} call={call} now={now} who={whoseIs(call.bakeId)} />
          ))}
        </ul>
      )}
    </div>
  );
} // prettier-ignore

/** Where it is done: before the very step, where it is one. */
function hrefOf({ bakeId, asked }: BenchCall): string {
  if (asked.kind === 'weigh') return `/bench/${bakeId}?at=weigh`;
  return asked.kind === 'clock' || asked.kind === 'step' ? `/bench/${bakeId}?at=steps&step=${asked.stepId}` : `/bench/${bakeId}`;
} // prettier-ignore

function FirstCall({ call, now, startedAtMs, who }: { call: BenchCall; now: number; startedAtMs: number; who: string | null }) {
  const time = useKitchenTime();
  const { asked, state, atMs, mayUntilMs, bakeName } = call;
  const units = useUnits();
  const leftS = atMs === null ? null : (atMs - now) / 1000;
  const isLate = state === 'now' && leftS !== null && leftS < 0;
  const clock = leftS === null ? null : `${isLate ? '+' : ''}${formatClock(leftS)}`;
  const figure = asked.kind === 'weigh' ? units.mass(asked.massG) : asked.kind === 'clock' || state === 'next' ? clock : null;
  return (
    <KitchenLink href={hrefOf(call)} className="docket block rounded-b-md p-5 hover:bg-well" data-testid="first-call">
      <span className="flex justify-between gap-3 text-sm text-soft">
        <span className="font-head text-xl font-bold text-ink">{bakeName}</span>
        <span className="text-right">{words.startedAt(time.dayAndClock(startedAtMs))}
          {who !== null && <strong className="block font-semibold">{words.withWhom(who)}</strong>}
        </span>
      </span>
      {figure !== null && <span className={cx('figure mt-3 block text-7xl', isLate && 'text-alarm')}>{figure}</span>}
      <span className={cx('mt-2 block', figure === null ? 'text-3xl font-semibold' : 'text-lg')}>
        <WhatIsAsked call={call} />
      </span>
      {mayUntilMs !== null && <MayWait mayUntilMs={mayUntilMs} now={now} />}
      <span className={buttonClass('now', 'table', 'mt-4 min-h-11 px-5')}>{words.toTheBench}</span>
    </KitchenLink>
  );
} // prettier-ignore

function MayWait({ mayUntilMs, now }: { mayUntilMs: number; now: number }) {
  const time = useKitchenTime();
  const isPast = mayUntilMs < now;
  return (
    <span className={cx('mt-1 block', isPast ? 'font-semibold text-alarm' : 'text-soft')}>
      {isPast ? words.shouldHave(formatDuration(Math.max(60, Math.round((now - mayUntilMs) / 60_000) * 60))) : words.mayWait(time.clock(mayUntilMs))}
    </span>
  );
} // prettier-ignore

/** The thing in words, with which of several it is. */
function WhatIsAsked({ call: { asked, state } }: { call: BenchCall }) {
  const units = useUnits();
  switch (asked.kind) {
    case 'weigh':
      return (
        <>
          {words.nextToWeigh}
          <strong>{asked.name}</strong>
          {words.ofAreIn(asked.done, asked.of)}
        </>
      );
    case 'light':
      return <strong>{callWords.light(asked.ovenName || words.theOven, units.temperature(asked.setC), asked.plate)}</strong>;
    case 'paused':
      return words.paused;
    case 'log':
      return words.allDoneLookTasteAnd;
    case 'clock':
    case 'step':
      return (
        <>
          {asked.kind === 'clock' ? (state === 'now' ? words.timeIsUp : words.leftOf) : words.next}
          <strong>{asked.stepTitle || STEP_WORD[asked.stepKind]}</strong>
          {asked.call && ` ${wordCall(asked.call)}`}
          {asked.kind === 'clock' && asked.until && <span className="text-soft">{words.until(asked.until)}</span>}
        </>
      );
  }
} // prettier-ignore

const ICONS = {
  weigh: Scale,
  light: Flame,
  log: NotebookPen,
  clock: Clock3,
  step: ChefHat,
  paused: Pause,
} as const;

function CallLine({ call, now, who }: { call: BenchCall; now: number; who: string | null }) {
  const time = useKitchenTime();
  const { asked, state, atMs, mayUntilMs, bakeName } = call;
  const Icon = ICONS[asked.kind];
  const leftS = atMs === null ? null : (atMs - now) / 1000;
  const isLate = state === 'now' && atMs !== null;
  const when = { now: leftS === null ? words.now : `+${formatClock(leftS)}`, next: atMs === null ? '' : time.clock(atMs), waits: asked.kind === 'paused' && atMs !== null ? time.clock(atMs) : formatClock(leftS ?? 0) }[state];
  return (
    <li className="border-t border-rule last:border-b">
      <KitchenLink href={hrefOf(call)} className="flex min-h-14 items-center gap-3 px-2 py-1.5 hover:bg-well">
        <Icon size={20} aria-hidden className={cx('shrink-0', isLate ? 'text-alarm' : 'text-soft')} />
        <span className="min-w-0 flex-1">
          <WhatIsAsked call={call} />
          <span className="block text-sm text-soft">
            {bakeName}
            {who !== null && `, ${words.withWhom(who)}`}
            {mayUntilMs !== null && `, ${mayUntilMs < now ? words.late : words.mayWait(time.clock(mayUntilMs))}`}
          </span>
        </span>
        <span className={cx('figure shrink-0 text-3xl', isLate && 'text-alarm')}>{when}</span>
      </KitchenLink>
    </li>
  );
} // prettier-ignore
