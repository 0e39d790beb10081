'use client';
import { CloudOff } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useQueryState, parseAsStringLiteral } from 'nuqs';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  isStepDone,
  lostPieces,
  nextThing,
  sheetNow,
  stillToWeigh,
  weighedCount,
  type BakeRecord,
} from '@/core/bake';
import { cx } from '@/ui/cx';
import { loadMenu } from '@/ui/Menu';
import { patiently } from '@/ui/patiently';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { useKitchenRouter } from '../kitchen/KitchenProvider';
import { loadIngredientSearch } from '../formula/IngredientPicker';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import type { Shared } from '@/core/day/shared';
import { BenchHead, type BenchDialog } from './BenchHead';
import { CleanDown } from './CleanDown';
import { Paused } from './Paused';
import { loadFelt } from './FeelButton';
import { loadReading } from './Readings';
import { loadNotRight } from './NotRight';
import { loadRise } from './RiseMarks';
import { RunningTimers } from './RunningTimers';
import { loadLook } from './Trial';
import { UndoBar } from './UndoBar';
import { useAlong } from './useAlong';
import { useBench, type Bench } from './useBench';
import { loadRiseAsked, type Rising } from './useRise';
import { loadByScale, loadOutOfIt, loadWrongAmount, WeighView } from './WeighView';
import { loadFeltWrong, loadLive, StepView } from './StepView';
import { words } from '@/wording/screens/bench/BenchPage';

const loadOven = () => import('./OvenCall').then((module) => module.OvenCall);
const OvenCall = dynamic(patiently(loadOven), { ssr: false });
const loadNote = () => import('./NoteDialog').then((module) => module.NoteDialog);
const loadAddition = () => import('./AdditionDialog').then((module) => module.AdditionDialog);
const loadAbandon = () => import('./AbandonDialog').then((module) => module.AbandonDialog);
const loadOutcome = () => import('../outcome/OutcomeForm').then((module) => module.OutcomeForm);
const loadBell = () => import('../timers/BellDialog').then((module) => module.BellDialog);
const loadCourse = () => import('./CourseDialog').then((module) => module.CourseDialog);
const loadWho = () => import('./WhoDialog').then((module) => module.WhoDialog);
const loadHandOver = () => import('./HandOverDialog').then((module) => module.HandOverDialog);
const loadHandedOver = () => import('./HandedOver').then((module) => module.HandedOver);
const WhoDialog = dynamic(patiently(loadWho), { ssr: false });
const HandOverDialog = dynamic(patiently(loadHandOver), { ssr: false });
const HandedOver = dynamic(patiently(loadHandedOver), { ssr: false });
const CourseDialog = dynamic(patiently(loadCourse), { ssr: false });
const BellDialog = dynamic(patiently(loadBell), { ssr: false });
const NoteDialog = dynamic(patiently(loadNote), { ssr: false });
const AdditionDialog = dynamic(patiently(loadAddition), { ssr: false });
const AbandonDialog = dynamic(patiently(loadAbandon), { ssr: false });
const OutcomeForm = dynamic(loadOutcome);
// the bench goes on when the server is gone, notes and log included
const NEEDED_OFFLINE = [
  loadNote,
  loadOven,
  loadRise,
  loadRiseAsked,
  loadReading,
  loadNotRight,
  loadLook,
  loadOutOfIt,
  loadByScale,
  loadWrongAmount,
  loadFeltWrong,
  loadLive,
  loadFelt,
  loadAddition,
  loadAbandon,
  loadCourse,
  loadBell,
  loadWho,
  loadHandOver,
  loadHandedOver,
  loadOutcome,
  loadMenu,
  loadIngredientSearch,
];

const VIEWS = ['weigh', 'steps', 'log'] as const;
type View = (typeof VIEWS)[number];

/** N writes a note, Enter presses what the screen is there for: not while somebody types, nor over a dialog. */
function useBenchKeys(onNote: () => void) {
  const { shortcuts } = usePreferences().preferences;
  const note = useRef(onNote);
  useEffect(() => {
    note.current = onNote;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const within = (selector: string) =>
        event.target instanceof HTMLElement && event.target.closest(selector) !== null;
      if (shortcuts === 'off' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (within('input, textarea, select, [role="dialog"], [role="menu"]')) return;
      if (event.key === 'n') {
        event.preventDefault();
        note.current();
      }
      // on a button of its own, Enter is that button's
      if (event.key === 'Enter' && !within('button, a'))
        document.querySelector<HTMLButtonElement>('[data-primary]')?.click();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [shortcuts]);
}

interface BenchPageProps {
  readonly bake: BakeRecord;
  readonly nowMs: number;
  readonly epoch: string;
  /** What the kitchen is shared with; null: with nothing. */
  readonly shared: Shared | null;
  /** What tells how the dough rises; null: nothing does. */
  readonly rising: Rising | null;
}

/** The bench of a bake under way. */
export function BenchPage({ epoch, ...rest }: BenchPageProps) {
  const bench = useBench(rest.bake, { nowMs: rest.nowMs, epoch });
  return <BenchScreen {...rest} bench={bench} />;
}

/** One thing at a time, for wet hands and a screen a metre off. */
export function BenchScreen({
  bake: planned,
  bench: given,
  nowMs,
  shared,
  rising,
  onEnded,
}: Omit<BenchPageProps, 'epoch'> & {
  bench: Bench;
  /** What follows when it is over; absent: its page in the logbook. */
  onEnded?: () => void;
}) {
  const router = useKitchenRouter();
  const bench = useAlong(planned.sheet, given);
  useFetchedEarly(NEEDED_OFFLINE);
  const { state, outbox, tap } = bench;
  // as it goes by now: another course puts steps into it
  const { courses } = state;
  const bake = useMemo(
    () => ({ ...planned, sheet: sheetNow(planned.sheet, { courses }) }),
    [planned, courses],
  );
  const [asked, setView] = useQueryState('at', parseAsStringLiteral(VIEWS));
  // in the address: whoever comes because a timer is up stands before its step
  const [chosen, putChosen] = useQueryState('step');
  const setChosen = (stepId: string | null) => void putChosen(stepId);
  const [dialog, setDialog] = useState<BenchDialog | null>(null);
  const here = chosen ?? bake.sheet.steps.find(({ id }) => !isStepDone(state, id))?.id ?? null;
  const next = nextThing(bake.sheet, state);
  const natural = next.kind === 'weigh' ? 'weigh' : next.kind === 'step' ? 'steps' : 'log';
  const view = asked ?? natural;
  const open = stillToWeigh(bake.sheet, state);
  const toLog = useCallback(() => router.push(`/logbook/${bake.id}`), [bake.id, router]);

  // ended here or on another tablet: what is left to do is in the logbook
  const ended = state.endedAtMs !== null;
  useEffect(() => {
    if (ended && outbox.waiting.length === 0) (onEnded ?? toLog)();
  }, [ended, onEnded, outbox.waiting.length, toLog]);

  useBenchKeys(() => setDialog('note'));

  return (
    <div className="mx-auto min-h-dvh max-w-[80rem] px-3 pb-10 sm:px-5">
      <BenchHead
        name={bake.sheet.name}
        handedTo={state.handover?.to ?? null}
        onDialog={setDialog}
        onPause={state.pause ? null : () => tap({ type: 'paused' })}
      />
      <OutboxNote bench={bench} />
      <RunningTimers
        bake={bake}
        bench={bench}
        nowMs={nowMs}
        except={view === 'steps' ? here : null}
        onGo={(stepId) => {
          setChosen(stepId);
          void setView('steps');
        }}
      />
      {state.pause ? (
        <Paused sheet={bake.sheet} bench={bench} />
      ) : (
        <>
          <OvenCall bake={bake} bench={bench} nowMs={nowMs} />
          {shared && view === 'weigh' && <CleanDown shared={shared} bench={bench} />}
          <BenchTabs bake={bake} bench={bench} view={view} onView={(to) => void setView(to)} />
          {view !== 'weigh' && (
            <NotInYet names={open.now.map(({ name }) => name)} onWeigh={() => void setView('weigh')} />
          )}
          <div id="bench-part" role="tabpanel" aria-labelledby={`tab-${view}`}>
            {view === 'weigh' && (
              <WeighView
                bake={bake}
                bench={bench}
                onSteps={() => void setView('steps')}
                onAllIn={() => void setView(null)}
              />
            )}
            {view === 'steps' && (
              <StepView
                bake={bake}
                bench={bench}
                nowMs={nowMs}
                rising={rising}
                chosen={chosen}
                onChoose={setChosen}
                onCourse={() => setDialog('course')}
                onWeigh={() => void setView('weigh')}
              />
            )}
            {view === 'log' && <LogPart bake={bake} bench={bench} />}
          </div>
        </>
      )}
      {/* on a low screen the number comes first, and the head says for whom it is */}
      {state.handover && <HandedOver handover={state.handover} className="mt-3 hidden low:flex" />}
      <UndoBar sheet={bake.sheet} bench={bench} />
      <BenchDialogs
        bake={bake}
        bench={bench}
        rising={rising}
        stepId={here}
        nowMs={nowMs}
        dialog={dialog}
        onDialog={setDialog}
      />
    </div>
  );
}

function NotInYet({ names, onWeigh }: { names: readonly string[]; onWeigh: () => void }) {
  if (names.length === 0) return null;
  return (
    <button
      type="button"
      onClick={onWeigh}
      className="mb-3 flex min-h-12 w-full items-center gap-2 rounded-lg low:hidden border border-edge bg-surface px-4 text-left text-lg"
    >
      <strong className="whitespace-nowrap">{words.notInYet}</strong>
      <span className="truncate">{names.join(', ')}</span>
    </button>
  );
}

/** What came out: it ends the bake. */
function LogPart({ bake, bench: { state, tap } }: { bake: BakeRecord; bench: Bench }) {
  return (
    <OutcomeForm
      planned={{
        pieces: Math.max(0, bake.sheet.pieces.count - lostPieces(state)),
        massG: bake.sheet.usableDoughG,
      }}
      draftKey={`form:outcome:${bake.id}`}
      deed={words.closeTheBake}
      twice={words.yesCloseTheBake}
      onOutcome={(outcome) => tap({ type: 'closed', outcome })}
    />
  );
}

interface BenchDialogsProps {
  bake: BakeRecord;
  bench: Bench;
  rising: Rising | null;
  stepId: string | null;
  nowMs: number;
  dialog: BenchDialog | null;
  onDialog: (dialog: BenchDialog | null) => void;
}

/** The one that is open. */
function BenchDialogs({ bake, bench, rising, stepId, nowMs, dialog, onDialog }: BenchDialogsProps) {
  const { tap } = bench;
  const seen = [...new Set(bench.outbox.events.flatMap(({ by }) => by ?? []))];
  return (
    <>
      {dialog === 'who' && <WhoDialog seen={seen} onClose={() => onDialog(null)} />}
      {dialog === 'handOver' && <HandOverDialog seen={seen} tap={tap} onClose={() => onDialog(null)} />}
      {dialog === 'bell' && <BellDialog onClose={() => onDialog(null)} />}
      {dialog === 'note' && <NoteDialog onClose={() => onDialog(null)} tap={tap} />}
      {dialog === 'addition' && <AdditionDialog onClose={() => onDialog(null)} tap={tap} />}
      {dialog === 'course' && (
        <CourseDialog
          bake={bake}
          bench={bench}
          rising={rising}
          stepId={stepId}
          nowMs={nowMs}
          onGiveUp={() => onDialog('abandon')}
          onClose={() => onDialog(null)}
        />
      )}
      {dialog === 'abandon' && <AbandonDialog onClose={() => onDialog(null)} tap={tap} />}
    </>
  );
}

/** What waits on this device, and what the server did not take; to whom it was given. */
function OutboxNote({ bench: { outbox, state } }: { bench: Bench }) {
  const { preferences } = usePreferences();
  return (
    <>
      {state.handover && <HandedOver handover={state.handover} className="flex low:hidden" />}
      {!outbox.reachable && (
        <p
          role="status"
          className="mb-3 flex items-center gap-2 rounded-lg border border-alarm bg-alarm-wash px-3 py-2 text-alarm"
        >
          <CloudOff size={18} aria-hidden />
          {words.theServerDoesNotAnswer(
            outbox.waiting.length === 0
              ? words.nothingIsWaiting
              : words.savedOnThisDevice(outbox.waiting.length),
          )}
        </p>
      )}
      {outbox.refused && (
        <p role="alert" className="mb-3 rounded-lg border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {words.theLastTapWas(wordProblem(outbox.refused, preferences))}
        </p>
      )}
    </>
  );
}

interface BenchTabsProps {
  bake: BakeRecord;
  bench: Bench;
  view: View;
  onView: (view: View) => void;
}

function BenchTabs({ bake, bench: { state }, view, onView }: BenchTabsProps) {
  const { done, of } = weighedCount(bake.sheet, state);
  const doneSteps = bake.sheet.steps.filter((step) => isStepDone(state, step.id)).length;
  const tabs = [
    { value: 'weigh', word: words.weigh, count: `${done}/${of}` },
    { value: 'steps', word: words.steps, count: `${doneSteps}/${bake.sheet.steps.length}` },
    { value: 'log', word: words.log, count: '' },
  ] as const;
  return (
    <div
      role="tablist"
      aria-label={words.partsOfTheBake}
      className="mb-4 grid grid-cols-3 gap-1 low:mb-2 rounded-xl border border-edge bg-surface p-1"
    >
      {tabs.map((tab) => (
        <button
          key={tab.value}
          type="button"
          role="tab"
          id={`tab-${tab.value}`}
          aria-selected={view === tab.value}
          aria-controls="bench-part"
          tabIndex={view === tab.value ? 0 : -1}
          onKeyDown={(event) => {
            const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
            const to = by && tabs[(tabs.indexOf(tab) + by + tabs.length) % tabs.length];
            if (!to) return;
            event.preventDefault();
            onView(to.value);
            document.getElementById(`tab-${to.value}`)?.focus();
          }}
          onClick={() => onView(tab.value)}
          className={cx(
            'min-h-12 rounded-lg text-lg font-semibold',
            view === tab.value ? 'bg-strong text-strong-ink' : 'text-soft',
          )}
        >
          {tab.word} <span className="font-normal opacity-80">{tab.count}</span>
        </button>
      ))}
    </div>
  );
}
