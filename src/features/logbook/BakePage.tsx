'use client';
import { ArrowLeft, Pencil } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import {
  actualTotals,
  deviationsOf,
  lossPercent,
  type BakeEvent,
  type BakeState,
  type Outcome,
  type BakeRecord,
} from '@/core/bake';
import { formulaTotals } from '@/core/formula';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { useTwice } from '@/ui/useTwice';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useBook } from '../book/BookProvider';
import { useBench } from '../bench/useBench';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import { AGAIN_WORD } from '@/wording/words';
import { BakeFoot } from './BakeFoot';
import { batchAgain } from '../again/batchAgain';
import { LotsUsed } from '../bench/LotsUsed';
import { PhotoSection } from '../photos/PhotoSection';
import { Tastings } from '../tasting/Tastings';
import { PlannedActual } from './PlannedActual';
import { PutBy } from './PutBy';
import { Scores } from './Scores';
import { TimeLog } from './TimeLog';
import { words } from '@/wording/screens/logbook/BakePage';
import { patiently } from '@/ui/patiently';

const CorrectionDialog = dynamic(
  () => import('./CorrectionDialog').then((module) => module.CorrectionDialog),
  { ssr: false },
);
const BakeSlice = dynamic(
  patiently(() => import('./BakeSlice').then((module) => module.BakeSlice)),
  {
    ssr: false,
    loading: () => <div className="mb-3 h-36" />,
  },
);
const LadderResult = dynamic(
  patiently(() => import('../ladder/LadderResult').then((module) => module.LadderResult)),
  { ssr: false },
);
const NextChange = dynamic(
  patiently(() => import('../advice/NextChange').then((module) => module.NextChange)),
  { ssr: false },
);
const RecordSection = dynamic(
  patiently(() => import('../record/RecordSection').then((module) => module.RecordSection)),
  { ssr: false },
);
const RiseChart = dynamic(
  patiently(() => import('./RiseChart').then((module) => module.RiseChart)),
  { ssr: false },
);
const AgainDialog = dynamic(
  patiently(() => import('./AgainDialog').then((module) => module.AgainDialog)),
  { ssr: false },
);
const NoteDialog = dynamic(
  patiently(() => import('../bench/NoteDialog').then((module) => module.NoteDialog)),
  { ssr: false },
);

/** One bake, over: what came out first, then planned beside actual, then what happened when. */
export function BakePage({ bake, nowMs, epoch }: { bake: BakeRecord; nowMs: number; epoch: string }) {
  const bench = useBench(bake, { nowMs, epoch });
  const { state, tap, outbox } = bench;
  const { preferences } = usePreferences();
  const [dialog, setDialog] = useState<'correct' | 'note' | 'again' | null>(null);
  const book = useBook();
  const deviations = useMemo(() => deviationsOf(bake.sheet, state, book), [bake.sheet, book, state]);
  const { outcome } = state;

  return (
    <>
      <BakeHead
        bake={bake}
        endedAtMs={state.endedAtMs}
        onReopen={() => tap({ type: 'reopened' })}
        onNote={() => setDialog('note')}
        // a ladder is not one bread that could become its formula
        isAsWritten={deviations.length === 0 || bake.sheet.ladder !== undefined}
        onAgain={() => setDialog('again')}
      />
      {outbox.refused && (
        <p role="alert" className="mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {wordProblem(outbox.refused, preferences)}
        </p>
      )}
      {state.endedAtMs === null && <UnderWay bakeId={bake.id} sent={outbox.waiting.length === 0} />}
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-5">
          {outcome && (
            <OutcomeView
              bakeId={bake.id}
              outcome={outcome}
              state={state}
              isSent={outbox.waiting.length === 0}
              onCorrect={() => setDialog('correct')}
            />
          )}
          {state.abandoned && (
            <section className="docket rounded-b-md p-5">
              <h2 className="text-xl text-alarm">{words.abandoned}</h2>
              <p className="mt-1">{state.abandoned.reason || words.noReasonWasNoted}</p>
            </section>
          )}
          {bake.sheet.ladder && (
            <LadderResult ladder={bake.sheet.ladder} state={state} seed={bake.startedAtMs} />
          )}
          <PhotoSection bakeId={bake.id} ladder={bake.sheet.ladder} state={state} tap={tap} />
          <Tastings bakeId={bake.id} ladder={bake.sheet.ladder} state={state} tap={tap} />
          <PutBy bake={bake} state={state} tap={tap} nowMs={nowMs} />
          <PlannedAndWeighed bake={bake} state={state} tap={tap} events={outbox.events} />
        </div>
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-5">
          {state.endedAtMs !== null && (
            <NextChange bake={bake} state={state} tap={tap} isSent={outbox.waiting.length === 0} />
          )}
          <RecordSection bake={bake} state={state} />
          <RiseChart marks={state.rises} />
          <TimeLog bake={bake} state={state} events={outbox.events} />
          <BakeFoot bakeId={bake.id} teaches={state.teaches} tap={tap} />
        </div>
      </div>
      {dialog === 'note' && <NoteDialog onClose={() => setDialog(null)} tap={tap} />}
      {dialog === 'again' && (
        <AgainDialog bake={bake} deviations={deviations} onClose={() => setDialog(null)} />
      )}
      {dialog === 'correct' && outcome && (
        <CorrectionDialog bake={bake} outcome={outcome} tap={tap} onClose={() => setDialog(null)} />
      )}
    </>
  );
}

/** The way back to the bench: offered once the server knows that the bake is open, or it would lead back here. */
function UnderWay({ bakeId, sent }: { bakeId: string; sent: boolean }) {
  return (
    <p role="status" className="mb-4 rounded border border-edge bg-surface px-3 py-2">
      {words.thisBakeIsStill}
      {sent ? (
        <KitchenLink href={`/bench/${bakeId}`} className="text-link underline">
          {words.toTheBench}
        </KitchenLink>
      ) : (
        words.saving
      )}
    </p>
  );
}

interface BakeHeadProps {
  bake: BakeRecord;
  endedAtMs: number | null;
  onReopen: () => void;
  onNote: () => void;
  /** Nothing in it was otherwise than its formula says. */
  isAsWritten: boolean;
  onAgain: () => void;
}

function BakeHead({ bake, endedAtMs, onReopen, onNote, isAsWritten, onAgain }: BakeHeadProps) {
  const time = useKitchenTime();
  const reopen = useTwice();
  return (
    <div className="mb-4 flex flex-wrap items-end gap-3">
      <div className="min-w-64 flex-1">
        <KitchenLink
          href="/logbook"
          className="no-print inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
        >
          <ArrowLeft size={15} aria-hidden />
          {words.theLogbook}
        </KitchenLink>
        <h1 className="text-2xl sm:text-3xl">{bake.sheet.name}</h1>
        <p className="text-soft">
          {time.dayAndYear(bake.startedAtMs)}, {time.clock(bake.startedAtMs)}
          {endedAtMs !== null &&
            ` – ${time.clock(endedAtMs)} (${formatDuration(60 * Math.round((endedAtMs - bake.startedAtMs) / 60_000))})`}
          {words.from}
          <KitchenLink href={`/formulas/${bake.formulaId}`} className="text-link underline">
            {words.versionOfTheFormula(bake.revision)}
          </KitchenLink>
        </p>
      </div>
      {endedAtMs !== null && (
        <Button
          look="quiet"
          className="no-print min-h-10"
          onClick={() => {
            if (reopen.press()) onReopen();
          }}
        >
          {reopen.asked ? words.yesReopenIt : words.reopenIt}
        </Button>
      )}
      <Button className="no-print min-h-10" onClick={onNote}>
        {words.addANote}
      </Button>
      {isAsWritten ? (
        <KitchenLink
          href={batchAgain(bake)}
          className={buttonClass('strong', 'table', 'no-print min-h-10 px-4')}
        >
          {words.bakeItAgain}
        </KitchenLink>
      ) : (
        <Button look="strong" className="no-print min-h-10 px-4" onClick={onAgain}>
          {words.bakeItAgain}
        </Button>
      )}
    </div>
  );
}

/** What was to go in beside what went in, line by line, and what follows from either. */
function PlannedAndWeighed({
  bake,
  state,
  tap,
  events,
}: Parameters<typeof LotsUsed>[0] & { events: readonly BakeEvent[] }) {
  const numbers = useNumbers();
  const book = useBook();
  const planned = useMemo(() => formulaTotals(bake.sheet, book), [bake.sheet, book]);
  const actual = useMemo(() => actualTotals(bake.sheet, state, book), [bake.sheet, book, state]);
  return (
    <section aria-labelledby="planned-title" className="docket rounded-b-md px-4 pt-4 pb-4">
      <h2 id="planned-title" className="text-xl">
        {words.plannedAndWeighed}
      </h2>
      <PlannedActual bake={bake} state={state} events={events} />
      <LotsUsed bake={bake} state={state} tap={tap} />
      <dl className="mt-4 grid grid-cols-3 border-t-2 border-ink pt-3 text-sm">
        {(
          [
            [words.hydrationAllWater, planned.hydrationAll, actual.hydrationAll, 1],
            [words.salt, planned.saltPercent, actual.saltPercent, 2],
            [words.binders, planned.binderPercent, actual.binderPercent, 2],
          ] as const
        ).map(([word, from, to, places]) => (
          <div key={word}>
            <dt className="text-soft">{word}</dt>
            <dd className="figure mt-1 text-2xl">{numbers.percent(to, places)}</dd>
            <dd className="text-soft">{words.planned(numbers.percent(from, places))}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function OutcomeView({
  bakeId,
  outcome,
  state,
  isSent,
  onCorrect,
}: {
  bakeId: string;
  outcome: Outcome;
  state: BakeState;
  isSent: boolean;
  onCorrect: () => void;
}) {
  const numbers = useNumbers();
  const units = useUnits();
  const time = useKitchenTime();
  const loss = lossPercent(outcome);
  const figures: (readonly [string, string])[] = [];
  if (outcome.pieces !== null) figures.push([words.pieces, String(outcome.pieces)]);
  if (outcome.massBeforeG !== null) figures.push([words.before, units.mass(outcome.massBeforeG)]);
  if (outcome.massAfterG !== null) figures.push([words.after, units.mass(outcome.massAfterG)]);
  if (loss !== null) figures.push([words.lost, `${numbers.decimal(loss, 1)} %`]);
  if (outcome.coreTempC !== null) figures.push([words.core, units.temperature(outcome.coreTempC)]);
  return (
    <section aria-labelledby="out-title" className="docket rounded-b-md px-5 pt-4 pb-5">
      <div className="flex items-center justify-between">
        <h2 id="out-title" className="text-xl">
          {words.whatCameOut}
        </h2>
        <Button look="quiet" className="no-print text-soft" onClick={onCorrect}>
          <Pencil size={15} aria-hidden />
          {words.correct}
        </Button>
      </div>
      <BakeSlice bakeId={bakeId} photos={state.photos} known={isSent ? state.lastSeq : null} />
      <dl className="mt-2 flex flex-wrap gap-x-6 gap-y-2">
        {figures.map(([word, figure]) => (
          <div key={word} className="flex flex-col-reverse">
            <dt className="text-sm text-soft">{word}</dt>
            <dd className="figure text-2xl">{figure}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4">
        <Scores scores={outcome.scores} large />
      </div>
      {outcome.again && (
        <p className="mt-4">
          {words.again}
          <strong>{AGAIN_WORD[outcome.again]}</strong>
        </p>
      )}
      {outcome.words && <p className="mt-2 max-w-prose whitespace-pre-line">{outcome.words}</p>}
      {state.earlierOutcomes.map(({ outcome: earlier, atMs }) => (
        <details key={atMs} className="mt-3 text-sm text-soft">
          <summary>{words.beforeTheCorrectionOf(time.dayAndClock(atMs))}</summary>
          <p className="mt-1">
            {words.piecesCoreCrumbCrustChew(
              earlier.pieces ?? '–',
              earlier.massBeforeG === null ? '–' : units.mass(earlier.massBeforeG),
              earlier.massAfterG === null ? '–' : units.mass(earlier.massAfterG),
              earlier.coreTempC === null ? '–' : units.temperature(earlier.coreTempC),
              earlier.scores.crumb ?? '–',
              earlier.scores.crust ?? '–',
              earlier.scores.chew ?? '–',
              earlier.scores.flavour ?? '–',
              earlier.words,
            )}
          </p>
        </details>
      ))}
    </section>
  );
}
