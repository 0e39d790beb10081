'use client';
import { BellRing } from 'lucide-react';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { formatClock, formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { tickEverySecond } from '@/workers/makeTicker';
import { wordCall } from '@/wording/calls';
import { words as callWords } from '@/wording/screens/day/calls';
import { words } from '@/wording/screens/timers/TimerBell';
import { STEP_WORD } from '@/wording/words';
import { ask } from '../asking/ask';
import { useNow } from '../clock/useNow';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { kitchenPlace } from '../kitchen/place';
import { useNews } from '../news/useNews';
import { useUnits } from '../preferences/PreferencesProvider';
import { listenForTouch, notify, ring, shake, soundState, speak } from './bell';
import { BellRinger, type Due } from './bellRinger';
import { bellSettings } from './bellSettings';
import { ovensUp, type KitchenOven } from './ovenBell';
import type { BoardTimer, KitchenTimer } from './boardTimer';
import { timerBoard } from './timerBoard';
import { useScreenOn } from './useScreenOn';

const LOOK_MS = 8000;
/** That it can't be heard yet is said so long before it would have to be. */
const NEAR_MS = 15 * 60_000;
const NONE: readonly BoardTimer[] = [];
const NO_OVENS: readonly KitchenOven[] = [];

/** It may be in another kitchen than the page that rings. */
const benchOf = ({ kitchen, bakeId }: BoardTimer): string => kitchenPlace(kitchen).page(`/bench/${bakeId}`);
const stepOf = (timer: BoardTimer): string => `${benchOf(timer)}?at=steps&step=${timer.stepId}`;
const nameOf = ({ stepTitle, stepKind, call }: BoardTimer): string =>
  [stepTitle || STEP_WORD[stepKind], wordCall(call)].filter(Boolean).join(', ');

/** That its time is up, or that it is to be begun. */
const upOf = (timer: BoardTimer): string => (timer.isCall ? words.nowDo : words.timeIsUp)(nameOf(timer));

interface Served {
  readonly timers: readonly KitchenTimer[];
  readonly ovens: readonly KitchenOven[];
  readonly nowMs: number;
}

/** What the server knows of all timers. */
function useServedTimers(): void {
  const kitchen = useKitchen();
  const newest = useRef(0);
  useNews(
    ({ of }) => of === 'bake',
    () =>
      void (async () => {
        const mine = ++newest.current;
        const answer = await ask<Served>(kitchen.api('/timers'));
        // of two that were asked for at once the later holds
        if (mine === newest.current && answer.kind === 'ok')
          timerBoard.fromServer(answer.value.timers, answer.value.ovens, answer.value.nowMs - Date.now());
        else if (answer.kind === 'unreachable') timerBoard.fromDevice();
      })(),
    LOOK_MS,
  );
}

/** The ringer of this page, on its second hand; what is up, and how to say that it was heard. */
function useRinging(timers: readonly BoardTimer[], ovens: readonly KitchenOven[]): readonly [readonly Due[], (key: string) => void] {
  const router = useRouter();
  const units = useUnits();
  const [settings] = useDevice(bellSettings);
  const [due, setDue] = useState<readonly Due[]>([]);
  const [ringer] = useState(
    () =>
      new BellRinger({
        ring,
        shake,
        speak: (call, timer) => speak(`${call === 'early' ? words.soon(nameOf(timer)) : upOf(timer)}. ${timer.bakeName}`),
        notify: (timer, key) => notify(upOf(timer), timer.bakeName, key, () => router.push(stepOf(timer))),
      }),
  );
  const latest = useRef({ timers, settings });
  const ovensSince = useRef(new Map<string, number>());
  const tick = useRef<() => void>(() => undefined);
  useEffect(() => {
    latest.current = { timers, settings };
    tick.current = () => {
      const nowMs = Date.now();
      const lit = ovensUp(ovens, nowMs, ovensSince.current, ({ ovenName, setC, plate }) => callWords.light(ovenName || words.theOven, units.temperature(setC), plate));
      const up = ringer.tick(nowMs, [...latest.current.timers, ...lit], latest.current.settings);
      setDue((was) => (was.length === up.length && was.every(({ key }, at) => key === up[at]?.key) ? was : up));
    };
    tick.current();
  }, [ringer, timers, ovens, units, settings]);
  const isBusy = timers.length + ovens.length > 0;
  useEffect(() => (isBusy ? tickEverySecond(() => tick.current()) : undefined), [isBusy]);
  const answer = (key: string) => {
    ringer.answer(key);
    tick.current();
  };
  return [due, answer];
} // prettier-ignore

/** The page's title says it too, for whoever looks at another. */
function useTitle(due: readonly Due[], path: string): void {
  const [first] = due;
  const title = first ? words.title(nameOf(first.timer)) : null;
  useEffect(() => {
    if (title === null) return undefined;
    const was = document.title;
    document.title = title;
    return () => {
      // another page has given itself its own by now
      if (document.title === title) document.title = was;
    };
  }, [title, path]);
}

/** Rings whichever timer is up, on whatever page is open, and says which it was until somebody has heard it. */
export function TimerBell() {
  const path = usePathname();
  useServedTimers();
  const timers = useSyncExternalStore(
    timerBoard.subscribe,
    () => timerBoard.all,
    () => NONE,
  );
  const now = useNow(0, 0);
  const ovens = useSyncExternalStore(
    timerBoard.subscribe,
    () => timerBoard.ovens,
    () => NO_OVENS,
  );
  const [due, answer] = useRinging(timers, ovens);
  const [{ muted }] = useDevice(bellSettings);
  useTitle(due, path);
  useScreenOn(timers.length > 0);
  useEffect(listenForTouch, []);
  const isNear = timers.some(({ localEndMs }) => localEndMs - now < NEAR_MS);
  const isSilent = now !== 0 && !muted && isNear && soundState() === 'needsTouch';
  // the bench of that very bake says it itself, larger: there it only has to be heard
  const shown = due.filter(({ timer }) => path !== benchOf(timer));
  const here = due.filter(({ timer }) => path === benchOf(timer));
  if (due.length === 0 && !isSilent) return null;
  // there no bar of stations stands beneath
  const atBench = /\/bench\/./.test(path);
  // what is at hand must not be buried under what calls: the first says it, the others are counted
  const listed = shown.slice(0, atBench ? 1 : 2);
  return (
    <>
    {due.length > 0 && <div aria-hidden className="no-print h-56" />}
    <div className={cx('no-print fixed inset-x-2 z-40 mx-auto grid max-w-xl gap-2', atBench ? 'bottom-18' : 'bottom-16 wide:bottom-4')}>
      {isSilent && <p role="status" className="justify-self-center rounded-lg border border-edge bg-surface px-3 py-2 text-sm shadow-lg">{words.silent}</p>}
      {here.length > 0 && (
        <Button size="bench" className="min-h-12 justify-self-end px-4 shadow-lg" onClick={() => here.forEach(({ key }) => answer(key))}>
          <BellRing size={22} aria-hidden className="text-alarm" />
          {words.stopRinging}
        </Button>
      )}
      {shown.length > 0 && (
        <div role="alert">
          <ul className="grid gap-2">
          {listed.map(({ key, timer, missedMs }) => (
            <li key={key} className={cx('flex min-w-0 flex-wrap items-center gap-3 rounded-xl border-2 border-alarm bg-surface px-4 py-3 shadow-lg', 'flashes')}>
              <BellRing size={26} aria-hidden className="shrink-0 text-alarm" />
              <span className="min-w-48 flex-1">
                <strong className="block text-lg leading-tight">{upOf(timer)}</strong>
                <span className="block truncate text-sm text-soft">{words.ago(timer.bakeName, formatClock((now - timer.localEndMs) / 1000))}</span>
                {missedMs !== null && <span className="block text-sm font-semibold text-alarm">{words.missed(formatDuration(Math.round(missedMs / 60_000) * 60))}</span>}
              </span>
              <Link href={stepOf(timer)} className={buttonClass('now', 'table', 'min-h-12 px-4 max-sm:flex-1')} onClick={() => answer(key)}>{words.goToIt}</Link>
              <Button className="min-h-12 max-sm:flex-1" onClick={() => answer(key)}>{words.dismiss}</Button>
            </li>
          ))}
          </ul>
          {shown.length > listed.length && <p className="mt-1 rounded-lg bg-surface px-4 py-1 text-sm font-semibold text-alarm shadow-lg">{words.more(shown.length - listed.length)}</p>}
        </div>
      )}
    </div>
    </>
  );
} // prettier-ignore
