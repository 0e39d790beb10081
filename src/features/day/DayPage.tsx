'use client';
import { CalendarDays, Clock3, Plus, Printer } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useRef, useState } from 'react';
import { agendaOf, withoutEnded } from '@/core/day/agenda';
import type { DayDocument } from '@/core/day/dayDocument';
import { editDay, type DayEdit } from '@/core/day/dayEdit';
import { type BakeProgress, type DayFormula, type ToAdd } from '@/core/day/kitchenDay';
import { outOf, usualRequest } from '@/core/day/usualRequest';
import { dayWith } from '@/core/day/laidOut';
import type { DayView } from '@/core/day/dayView';
import type { Score } from '@/core/day/score';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/day/DayPage';
import { BLOCK_WORD } from '@/wording/words';
import { ask } from '../asking/ask';
import { useStoredEntries } from '../book/BookProvider';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { useNews } from '../news/useNews';
import { KitchenLink, useKitchen, useKitchenRouter } from '../kitchen/KitchenProvider';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { AgendaList } from './AgendaList';
import { BatchCard } from './BatchCard';
import { BlockPanel } from './BlockPanel';
import { DayProvider, useDayEdit, useDayValue, useDayWords } from './DayContext';
import { DayLanes } from './DayLanes';
import { NeedsList } from './NeedsList';
import { NextCall } from './NextCall';
import { ReadyAt } from './ReadyAt';
import type { Stored } from '../versioned/useVersioned';
import { useStarters } from '../starter/useStarters';
import { starterTaken } from '@/core/day/starterTaken';
import type { FeedDue } from '@/core/starter/feedsDue';
import type { StartersDocument } from '@/core/starter/starterDocument';
import { useDay, useLife } from './useDay';
import { useDayPlan, type DayPlanning } from './useDayPlan';

const HoursDialog = dynamic(
  patiently(() => import('./HoursDialog').then((module) => module.HoursDialog)),
  { ssr: false },
);

interface DayPageProps {
  readonly day: Stored<DayDocument>;
  readonly life: Stored<LifeDocument>;
  readonly starters: Stored<StartersDocument>;
  readonly feeds: readonly FeedDue[];
  readonly formulas: readonly DayFormula[];
  readonly bakes: Readonly<Record<string, BakeProgress>>;
  /** What was sent here to be put on the day. */
  readonly add: ToAdd | null;
  readonly nowMs: number;
}

/** While nothing is told the bench is asked so often how far it is, ms. */
const ASK_MS = 15_000;

/** How far the bakes of the day are, as long as the page is looked at. */
function useBakes(first: DayPageProps['bakes'], hasBakes: boolean): DayPageProps['bakes'] {
  const kitchen = useKitchen();
  const [bakes, setBakes] = useState(first);
  const [drawn, setDrawn] = useState(first);
  // the page was drawn anew
  if (drawn !== first) {
    setDrawn(first);
    setBakes(first);
  }
  useNews(
    ({ of }) => hasBakes && of === 'bake',
    () => void (async () => {
      if (!hasBakes || document.visibilityState === 'hidden') return;
      const answer = await ask<DayPageProps['bakes']>(kitchen.api('/day/bakes'));
      if (answer.kind === 'ok') setBakes((was) => (JSON.stringify(was) === JSON.stringify(answer.value) ? was : answer.value));
    })(),
    ASK_MS,
  );
  return bakes;
} // prettier-ignore

/** The day: what is to be done next, everything on one clock, and each bread with how sure it is. */
export function DayPage({ day: storedDay, life: storedLife, formulas: known, bakes: firstBakes, starters: storedStarters, feeds, add, nowMs: drawnMs }: DayPageProps) {
  const { value: day, change, latest, save } = useDay(storedDay);
  const { value: life, change: changeLife } = useLife(storedLife);
  const { value: starters, change: changeStarters } = useStarters(storedStarters);
  const { kit } = useStoredKit();
  const { stored } = useStoredEntries();
  const { timeZone } = usePreferences().ways;
  const [offsetMs] = useState(() => clockOffsetMs(drawnMs));
  const tickMs = useNow(offsetMs, drawnMs);
  // the page is drawn by the minute: whoever counts seconds is at the bench
  const nowMs = Math.floor(tickMs / 60_000) * 60_000;
  const [own, setOwn] = useState<readonly DayFormula[]>([]);
  const formulas = useMemo(() => [...known, ...own], [known, own]);
  const bakes = useBakes(firstBakes, day.batches.some(({ bakeId }) => bakeId !== null));
  const planning = useDayPlan(day, { life, zone: timeZone, kit, stored, formulas, bakes, starters, nowMs });
  const { view } = planning;

  // where everything lies is part of the day, once nothing better is looked for; what only the clock has moved every tab sees for itself
  const isToSave = useRef(false);
  useEffect(() => {
    if (bakes !== firstBakes && document.visibilityState === 'visible') isToSave.current = true;
  }, [bakes, firstBakes]);
  useEffect(() => {
    if (!view?.final) return;
    const isNew = latest().batches.some(({ at }) => Object.keys(at).length === 0);
    if (isToSave.current || isNew) change(dayWith(latest(), view));
    isToSave.current = false;
  }, [view, change, latest]);

  const edit = (made: DayEdit): string | null => {
    const next = editDay(latest(), made, nowMs);
    if (!next.ok) return words.trouble[next.problem.code as keyof typeof words.trouble] ?? words.otherTrouble;
    isToSave.current = true;
    change(next.value);
    // what goes out of the jar for it is told of the jar as well
    const fromJar = 'batchId' in made ? view?.batches.find(({ id }) => id === made.batchId)?.fromJar : null;
    changeStarters(starterTaken(starters, next.value.batches, made, fromJar ?? null, nowMs));
    return null;
  };
  const overMs = useMemo(
    () => new Map(day.batches.flatMap(({ id, bakeId }) => {
      const endedMs = bakeId === null ? null : (bakes[bakeId]?.endedMs ?? null);
      return endedMs === null ? [] : [[id, endedMs] as const];
    })),
    [day.batches, bakes],
  );
  const value = { day, view, ovens: kit.ovens, nowMs, overMs, edit, ...(life.shared && { own: life.shared.own }) };
  return (
    <DayProvider value={value}>
      <DayBody planning={planning} save={save} add={add} feeds={feeds} life={life} changeLife={changeLife}
        onAdd={(formula) => setOwn((was) => [...was, formula])} />
    </DayProvider>
  );
} // prettier-ignore

interface DayBodyProps {
  readonly planning: DayPlanning;
  readonly save: ReturnType<typeof useDay>['save'];
  readonly add: ToAdd | null;
  readonly feeds: readonly FeedDue[];
  readonly life: LifeDocument;
  readonly changeLife: (life: LifeDocument) => void;
  readonly onAdd: (formula: DayFormula) => void;
}

function DayBody({ planning, save, add, feeds, life, changeLife, onAdd }: DayBodyProps) {
  const { day, view, nowMs, overMs } = useDayValue();
  const edit = useDayEdit();
  const kitchen = useKitchen();
  const router = useKitchenRouter();
  const [asking, setAsking] = useState(add);
  const [sent, setSent] = useState(add);
  if (sentKey(sent) !== sentKey(add)) {
    setSent(add);
    setAsking(add);
  }
  const [hours, setHours] = useState(false);
  const [chosen, setChosen] = useState<{ batchId: string; blockId: string } | null>(null);
  const calls = useMemo(() => {
    const states = new Map(view?.batches.flatMap(({ id, blocks }) => blocks.map((block) => [`${id} ${block.id}`, block.state] as const)));
    // what the bench has is the bench's until the plan knows more
    const stateOf = (batch: DayDocument['batches'][number], blockId: string) => {
      const known = states.get(`${batch.id} ${blockId}`);
      if (known) return known;
      return batch.bakeId !== null || batch.progress[blockId]?.endMs != null ? 'done' : 'todo';
    };
    const ended = (bakeId: string) => day.batches.some((batch) => batch.bakeId === bakeId && overMs?.has(batch.id));
    return agendaOf(withoutEnded(view ? dayWith(day, view) : day, ended), feeds, stateOf);
  }, [day, view, overMs, feeds]);
  const block = chosen && view?.batches.find(({ id }) => id === chosen.batchId)?.blocks.find(({ id }) => id === chosen.blockId);
  const close = () => {
    setAsking(null);
    router.replace('/day');
  };
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-3xl">{words.theDay}</h1>
        <KitchenLink href="/formulas" className={buttonClass('plain', 'table', 'min-h-10')}><Plus size={16} aria-hidden />{words.addAnother}</KitchenLink>
        <KitchenLink href="/orders" className={buttonClass('plain', 'table', 'min-h-10')}>{words.orders}</KitchenLink>
        <Button className="min-h-10" onClick={() => setHours(true)}><Clock3 size={16} aria-hidden />{words.yourHours}</Button>
        {day.batches.length > 0 && (
          <>
            <a href={kitchen.api('/day/calendar')} download className={buttonClass('plain', 'table', 'min-h-10')}><CalendarDays size={16} aria-hidden />{words.calendar}</a>
            <Button className="min-h-10 max-sm:hidden" onClick={() => window.print()}><Printer size={16} aria-hidden />{words.print}</Button>
          </>
        )}
      </div>
      {asking && (
        <ReadyAt key={sentKey(asking)} name={nameOf(asking)} nowMs={nowMs} onClose={close} takenOut={asking.takenOut}
          onReady={(ready, pieces) => {
            onAdd(asking);
            const { formulaId, revision, formula, takenOut } = asking;
            const batch = takenOut ? outOf(formula, takenOut.wayId, pieces) : usualRequest(formula);
            const why = edit({ type: 'add', batch: { id: newUuid(), formulaId, revision, name: nameOf(asking), batch, ready, ...(takenOut && { takenOut }) } });
            if (why === null) close();
            return why;
          }} />
      )}
      <Notes planning={planning} save={save} />
      {day.batches.length === 0 ? (
        !asking && (
          <>
            {calls.length > 0 && <NextCall calls={calls} />}
            <Nothing />
          </>
        )
      ) : (
        <>
          <div className="no-print"><NextCall calls={calls} /></div>
          <Moved />
          <ul className="no-print grid gap-3 md:grid-cols-2 xl:grid-cols-3" aria-busy={planning.looking}>
            {day.batches.map((batch) => <BatchCard key={batch.id} batch={batch} laid={view?.batches.find(({ id }) => id === batch.id) ?? null} />)}
          </ul>
          {view && (
            <section className="no-print mt-5" aria-labelledby="lanes-title">
              <h2 id="lanes-title" className="mb-1 text-lg">{words.lanes}</h2>
              <DayLanes view={view} chosen={chosen} onChoose={setChosen} />
              {chosen && block && <BlockPanel batchId={chosen.batchId} block={block} onClose={() => setChosen(null)} />}
              {view.final && <Why />}
            </section>
          )}
          <section className="mt-5 print:mt-0" aria-labelledby="list-title">
            <h2 id="list-title" className="mb-1 text-lg print:text-2xl"><span className="print:hidden">{words.list}</span><span className="hidden print:inline">{words.theDay}</span></h2>
            <AgendaList calls={calls} onChoose={(batchId, blockId) => { setChosen({ batchId, blockId }); document.getElementById('lanes-title')?.scrollIntoView(); }} />
          </section>
          {view?.needs && <NeedsList needs={view.needs} />}
          <p className="no-print mt-4 text-sm text-soft">
            <a href={kitchen.api('/day/file')} download className="text-link underline">{words.asFile}</a> {words.asFileHint}
          </p>
        </>
      )}
      {hours && <HoursDialog life={life} nowMs={nowMs} onChange={changeLife} onClose={() => setHours(false)} />}
    </>
  );
} // prettier-ignore

/** A bread of a dough that parts is called by its own name. */
const nameOf = ({ formula, takenOut }: ToAdd): string =>
  formula.ways?.find(({ id }) => id === takenOut?.wayId)?.name || formula.name;

const sentKey = (sent: ToAdd | null): string =>
  [sent?.formulaId, sent?.takenOut?.bakeId, sent?.takenOut?.wayId].join(' ');

function Nothing() {
  return (
    <div className="docket rounded-b-md p-6">
      <p className="font-head text-2xl font-semibold">{words.nothingIsPlanned}</p>
      <p className="mt-1 max-w-prose text-soft">{words.sayWhenItShould}</p>
      <KitchenLink href="/formulas" className={buttonClass('strong', 'table', 'mt-4 min-h-11 px-5')}>{words.chooseAFormula}</KitchenLink>
    </div>
  );
} // prettier-ignore

/** The plan is there, and the day has not been given its places yet: that is a moment later. */
const isUnsaved = ({ batches }: DayDocument, view: DayView | null): boolean =>
  view?.final === true &&
  batches.some(
    ({ id, at }) =>
      Object.keys(at).length === 0 && (view.batches.find((laid) => laid.id === id)?.blocks.length ?? 0) > 0,
  );

/** What has to be known of the plan itself: that it is looked for, is not saved, cannot be made. */
function Notes({ planning, save }: Pick<DayBodyProps, 'planning' | 'save'>) {
  const { day, view } = useDayValue();
  const leftOut = view?.leftOut.map((id) => day.batches.find((batch) => batch.id === id)?.name ?? '') ?? [];
  const trouble = planning.broken ? words.brokeDown : planning.problem ? (words.trouble[planning.problem.code as keyof typeof words.trouble] ?? words.brokeDown) : null;
  return (
    <>
      {save !== 'saved' && save !== 'saving' && (
        <p role="alert" className="no-print mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm">
          {words[save]} {save === 'stale' && <Button look="quiet" onClick={() => window.location.reload()}>{words.loadAgain}</Button>}
        </p>
      )}
      {trouble && <p role="alert" className="no-print mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm">{trouble}</p>}
      {leftOut.length > 0 && <p role="alert" className="no-print mb-3 text-sm text-alarm">{words.leftOut(leftOut.join(', '))}</p>}
      {day.batches.length > 0 && <p role="status" className="no-print mb-2 min-h-6 text-sm text-soft" data-testid="plan-state">{planning.looking ? words.looking : save === 'saving' || isUnsaved(day, view) ? words.saving : words.saved}</p>}
    </>
  );
} // prettier-ignore

/** What lies elsewhere than it did, in one line. */
function Moved() {
  const { view } = useDayValue();
  const say = useDayWords();
  const [first, ...more] = view?.changes ?? [];
  if (!first || !view) return null;
  const by = formatDuration(Math.abs(first.byMs) / 1000);
  const what = `${BLOCK_WORD[first.kind]}, ${say.batch(first.batchId)},`;
  const batch = view.batches.find(({ id }) => id === first.batchId);
  const ready = batch?.readyMs;
  const last = batch?.blocks.findLast(({ endMs }) => endMs === ready);
  const isStill = !view.changes.some(({ batchId, blockId }) => batchId === first.batchId && blockId === last?.id);
  return (
    <p role="status" className="no-print mb-3 rounded border border-edge bg-surface px-3 py-2 text-sm" data-testid="moved">
      {words.changed((first.byMs > 0 ? words.later : words.earlier)(what, by), more.length)}
      {ready != null && (isStill ? words.still : words.nowReady)(say.at(ready))}.
    </p>
  );
} // prettier-ignore

/** No plan can be better: each bread is as it would be alone. */
const isAsGood = (score: Score, bound: Score): boolean =>
  (['unplaced', 'late', 'unwanted', 'old', 'taste'] as const).every((part) => score[part] === bound[part]);

/** How good the plan is, part by part of the score. */
function Why() {
  const { view } = useDayValue();
  if (!view) return null;
  const { score, rounds, bound } = view;
  const long = (slots: number) => formatDuration(slots * 300);
  const lines = [
    score.late > 0 ? words.lateMin(long(score.late)) : score.unplaced === 0 ? words.onTime : null,
    score.unwanted > 0 ? words.unwanted(long(score.unwanted)) : null,
    score.old > 0 ? words.old(long(score.old)) : null,
    score.idle > 0 ? words.idle(long(score.idle)) : null,
    bound && !isAsGood(score, bound) && score.unplaced === 0 ? words.alone(long(bound.late), long(bound.old)) : null,
    bound && isAsGood(score, bound) ? words.best : null,
    words.rounds(rounds),
  ];
  return (
    <details className="mt-2 text-sm">
      <summary className="min-h-6">{words.why}</summary>
      <ul className="mt-1 list-disc pl-5 text-soft">{lines.map((line) => line && <li key={line}>{line}</li>)}</ul>
    </details>
  );
} // prettier-ignore
