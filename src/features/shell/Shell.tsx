'use client';
import {
  BellRing,
  BookOpenText,
  Boxes,
  CircleHelp,
  CookingPot,
  Heater,
  Keyboard,
  MoonStar,
  NotebookPen,
  Sun,
  Sunrise,
  type LucideIcon,
} from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { IconButton } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { loadDialog } from '@/ui/Dialog';
import { useAwake } from '@/ui/useAwake';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { KitchenLink, useKitchenRouter } from '../kitchen/KitchenProvider';
import { useOffline } from '../offline/useOffline';
import { usePreferences } from '../preferences/PreferencesProvider';
import { LateTimerBell } from '../timers/LateTimerBell';
import { CHORD_MS, pageOf, STATIONS } from './stations';
import { UnitSwitches } from './UnitSwitches';
import { words } from '@/wording/screens/shell/Shell';
import { patiently } from '@/ui/patiently';

// what waits and what rings is looked at when the page stands
const Tray = dynamic(
  patiently(() => import('../queue/Tray').then((module) => module.Tray)),
  { ssr: false },
);
const OfflineNote = dynamic(
  patiently(() => import('../offline/OfflineNote').then((module) => module.OfflineNote)),
  { ssr: false },
);
const DeviceNote = dynamic(
  patiently(() => import('../network/DeviceNote').then((module) => module.DeviceNote)),
  { ssr: false },
);
const BellDialog = dynamic(
  patiently(() => import('../timers/BellDialog').then((module) => module.BellDialog)),
  { ssr: false },
);
const ShortcutDialog = dynamic(
  patiently(() => import('./ShortcutDialog').then((module) => module.ShortcutDialog)),
  { ssr: false },
);

/** What says why something was not taken has to be there when the network is not. */
const NEEDED_OFFLINE = [loadDialog];

const ICONS: Record<(typeof STATIONS)[number]['href'], LucideIcon> = {
  '/': Sunrise,
  '/formulas': NotebookPen,
  '/ingredients': Boxes,
  '/kit': Heater,
  '/bench': CookingPot,
  '/logbook': BookOpenText,
};

/** A page's place within its kitchen, whichever word the address has for that. */
const within = (path: string): string => `/${path.split('/').slice(3).join('/')}`;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], [role="menu"]') !== null;

/** The frame round every station: where you are, where else you can go, the lamp and the units. */
export function Shell({ name, children }: { name: string; children: ReactNode }) {
  const path = within(usePathname());
  const { preferences, change } = usePreferences();
  const [help, setHelp] = useState(false);
  const awake = useAwake();
  useFetchedEarly(NEEDED_OFFLINE);
  useOffline();
  const dim = preferences.light === 'dim';

  useKeys(() => setHelp(true));
  useFocusOnPage(path);

  // At the bench the dough has the whole screen.
  const atBench = /^\/(?:bench|practice)\/./.test(path);

  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50 focus:bg-surface focus:p-3"
      >
        {words.skipToTheContent}
      </a>
      <header
        className={cx(
          'no-print sticky top-0 z-30 flex items-center gap-2 border-b border-rule bg-paper px-3 sm:px-5',
          atBench ? 'hidden' : 'h-14',
        )}
      >
        <KitchenLink
          href="/"
          className="font-head mr-1 text-lg font-bold tracking-tight max-[360px]:text-base sm:mr-2 lg:mr-6"
        >
          {words.honest}
          <span className="ml-1 bg-strong px-1.5 text-strong-ink">{words.crumb}</span>
        </KitchenLink>
        <Stations path={path} />
        <div className="ml-auto flex min-w-0 items-center gap-1 max-lg:gap-0">
          <Tray />
          <Link
            href="/kitchens"
            title={words.otherKitchens}
            className="mr-2 max-w-48 truncate text-sm text-soft underline max-lg:hidden"
          >
            {name}
          </Link>
          <UnitSwitches />
          <IconButton
            label={dim ? words.daylightShiftD : words.dimTheLightShiftD}
            onClick={() => change({ light: dim ? 'day' : 'dim' })}
          >
            {dim ? <Sun size={18} aria-hidden /> : <MoonStar size={18} aria-hidden />}
          </IconButton>
          <Bell />
          <KitchenLink
            href="/help"
            aria-label={words.help}
            title={words.help}
            className="button button-quiet button-table button-icon"
          >
            <CircleHelp size={18} aria-hidden />
          </KitchenLink>
          <IconButton label={words.keyboardShortcuts} className="max-sm:hidden" onClick={() => setHelp(true)}>
            <Keyboard size={18} aria-hidden />
          </IconButton>
        </div>
      </header>
      <OfflineNote path={path} atBench={atBench} />
      <DeviceNote atBench={atBench} />
      <main
        id="main"
        tabIndex={-1}
        data-awake={awake}
        className={cx(
          'mx-auto w-full',
          atBench ? 'outline-none' : 'outline-none max-w-[92rem] px-3 pt-4 pb-24 sm:px-5 wide:pb-10',
        )}
      >
        {children}
      </main>
      <LateTimerBell />
      {help && <ShortcutDialog onClose={() => setHelp(false)} />}
    </>
  );
}

/** Keys that are single, from wherever nobody types: the shortcut sheet, the light, and g with a station. */
function useKeys(onHelp: () => void): void {
  const router = useKitchenRouter();
  const { preferences, change } = usePreferences();
  const dim = preferences.light === 'dim';
  const help = useRef(onHelp);
  useEffect(() => {
    help.current = onHelp;
  });
  useEffect(() => {
    let awaiting = 0;
    const onKey = (event: KeyboardEvent) => {
      if (preferences.shortcuts === 'off') return;
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (event.key === '?') help.current();
      else if (event.key === 'D') change({ light: dim ? 'day' : 'dim' });
      else if (event.key === 'g') awaiting = event.timeStamp;
      else if (event.timeStamp - awaiting < CHORD_MS) {
        const to = pageOf(event.key);
        awaiting = 0;
        if (to) router.push(to);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [change, dim, preferences.shortcuts, router]);
}

/** How this device calls. */
function Bell() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton label={words.theBell} className="max-sm:hidden" onClick={() => setOpen(true)}>
        <BellRing size={18} aria-hidden />
      </IconButton>
      {open && <BellDialog onClose={() => setOpen(false)} />}
    </>
  );
}

/** What had the focus may be gone with the page before: then the new page has it, never nothing. */
function useFocusOnPage(path: string): void {
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    const frame = requestAnimationFrame(() => {
      if (document.activeElement === document.body)
        document.getElementById('main')?.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(frame);
  }, [path]);
}

function Stations({ path }: { path: string }) {
  return (
    <nav
      aria-label={words.mainPages}
      className="fixed inset-x-0 bottom-0 z-30 flex border-t border-rule bg-paper wide:static wide:border-0 wide:bg-transparent"
    >
      {STATIONS.map(({ href, word }) => {
        const Icon = ICONS[href];
        const here = href === '/' ? path === '/' || path.startsWith('/day') : path.startsWith(href);
        return (
          <KitchenLink
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={cx(
              'flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 px-3 text-xs font-semibold text-soft hover:text-ink max-sm:px-0 max-sm:text-[0.78rem] max-sm:tracking-tight wide:min-h-10 wide:max-lg:px-1.5 lg:px-3 wide:flex-row wide:gap-2 wide:text-sm',
              here && 'text-ink underline decoration-[3px] underline-offset-8',
            )}
          >
            <Icon size={18} aria-hidden strokeWidth={here ? 2.4 : 1.8} className="wide:max-lg:hidden" />
            <span className="max-[360px]:sr-only">{word}</span>
          </KitchenLink>
        );
      })}
    </nav>
  );
}
