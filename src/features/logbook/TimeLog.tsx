'use client';
import { Fragment } from 'react';
import { handsOf, sheetNow, stepTimes, whoDid, type BakeAction, type BakeEvent, type BakeState, type BakeRecord, type Feeling, type Look, type Reading, type RiseMark } from '@/core/bake'; // prettier-ignore
import type { MethodStep } from '@/core/method';
import { formatDuration, formatDurationRange } from '@/core/units';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { READING_WORD } from '@/wording/readings';
import { BAND_WORD } from '@/wording/bands';
import { grownWord, RISE_OF_WORD } from '@/wording/rise';
import { callOf } from '@/core/batch';
import { wordCall } from '@/wording/calls';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/logbook/TimeLog';

type Entry =
  | { readonly kind: 'step'; readonly atMs: number; readonly step: MethodStep; readonly tookS: number }
  | ({ readonly kind: 'rise' } & RiseMark)
  | ({ readonly kind: 'felt' } & Feeling)
  | ({ readonly kind: 'reading' } & Reading)
  | { readonly kind: 'skipped'; readonly atMs: number; readonly step: MethodStep }
  | {
      readonly kind: 'mended';
      readonly atMs: number;
      readonly what: string;
      readonly by: BakeState['mends'][number]['by'];
    }
  | ({ readonly kind: 'look' } & Look)
  | {
      readonly kind: 'anew';
      readonly atMs: number;
      readonly count: number;
      readonly durationS: number;
      readonly tempC: number | null;
    }
  | { readonly kind: 'cleaned'; readonly atMs: number }
  | { readonly kind: 'handed'; readonly atMs: number; readonly to: string; readonly text: string }
  | { readonly kind: 'course'; readonly atMs: number; readonly by: BakeState['courses'][number]['by']; readonly lost: number | null } // prettier-ignore
  | { readonly kind: 'paused'; readonly atMs: number; readonly toMs: number }
  | { readonly kind: 'note'; readonly atMs: number; readonly text: string }
  | { readonly kind: 'reopened'; readonly atMs: number; readonly endedAtMs: number };

/** Steps and notes on one line of time. */
function entriesOf(bake: BakeRecord, state: BakeState, events: readonly BakeEvent[]): Entry[] {
  const steps = stepTimes(bake, state).map(({ step, doneAtMs, tookS }): Entry => ({
    kind: 'step',
    atMs: doneAtMs,
    step,
    tookS,
  }));
  const notes = state.notes.map((note): Entry => ({ kind: 'note', ...note }));
  const rises = state.rises.map((mark): Entry => ({ kind: 'rise', ...mark }));
  const feelings = state.feelings.map((feeling): Entry => ({ kind: 'felt', ...feeling }));
  const readings = state.readings.map((reading): Entry => ({ kind: 'reading', ...reading }));
  const looks = state.looks.map((look): Entry => ({ kind: 'look', ...look }));
  const moments = [...new Set([...state.anew.values()].map(({ atMs }) => atMs))];
  const anew = moments.map((atMs): Entry => {
    const all = [...state.anew.values()].filter((each) => each.atMs === atMs);
    return { kind: 'anew', count: all.length, ...all[0]! };
  });
  const cleaned: Entry[] = state.cleanedAtMs === null ? [] : [{ kind: 'cleaned', atMs: state.cleanedAtMs }];
  const courses = state.courses.map(({ by, atMs, lostPieces }): Entry => ({ kind: 'course', by, atMs, lost: lostPieces })); // prettier-ignore
  const handed = events.flatMap(({ action, atMs }): Entry[] =>
    action.type === 'handedOver' ? [{ kind: 'handed', atMs, to: action.to, text: action.words }] : [],
  );
  const pauses = state.pauses.map(({ fromMs, toMs }): Entry => ({ kind: 'paused', atMs: fromMs, toMs }));
  const skipped = bake.sheet.steps.flatMap((step): Entry[] => {
    const atMs = state.steps.get(step.id)?.skippedAtMs ?? null;
    return atMs === null ? [] : [{ kind: 'skipped', atMs, step }];
  });
  const lines = bake.sheet.stages.flatMap((stage) => stage.lines);
  const mends = state.mends.map(({ lineId, by, atMs }): Entry => ({
    kind: 'mended',
    atMs,
    by,
    what: lines.find(({ id }) => id === lineId)?.name ?? '',
  }));
  const endings = state.endings.map(({ reopenedAtMs, endedAtMs }): Entry => ({
    kind: 'reopened',
    atMs: reopenedAtMs,
    endedAtMs,
  }));
  return [
    ...steps,
    ...skipped,
    ...rises,
    ...feelings,
    ...readings,
    ...looks,
    ...anew,
    ...cleaned,
    ...courses,
    ...handed,
    ...pauses,
    ...mends,
    ...notes,
    ...endings,
  ].sort((a, b) => a.atMs - b.atMs);
}

/** What in the log an entry tells of. */
const TOLD_BY: Readonly<Record<Entry['kind'], BakeAction['type']>> = {
  step: 'stepDone',
  skipped: 'stepSkipped',
  rise: 'rise',
  felt: 'felt',
  reading: 'reading',
  mended: 'mended',
  look: 'looked',
  anew: 'setAnew',
  cleaned: 'cleanedDown',
  handed: 'handedOver',
  course: 'courseChanged',
  paused: 'paused',
  note: 'noted',
  reopened: 'reopened',
};

interface TimeLogProps {
  readonly bake: BakeRecord;
  readonly state: BakeState;
  /** The log as it is by now. */
  readonly events: readonly BakeEvent[];
}

export function TimeLog({ bake, state, events }: TimeLogProps) {
  const time = useKitchenTime();
  const sheet = sheetNow(bake.sheet, state);
  const entries = entriesOf({ ...bake, sheet }, state, events);
  const hands = handsOf(events);
  const whoOf = (entry: Entry) =>
    whoDid(events, {
      type: TOLD_BY[entry.kind],
      atMs: entry.atMs,
      ...((entry.kind === 'step' || entry.kind === 'skipped') && { stepId: entry.step.id }),
    });
  return (
    <section aria-labelledby="time-title" className="docket rounded-b-md px-4 pt-4 pb-4">
      <h2 id="time-title" className="text-xl">
        {words.whatHappenedWhen}
      </h2>
      {entries.length === 0 && <p className="mt-2 text-sm text-soft">{words.noStepWasTickedAnd}</p>}
      {hands.length > 0 && (
        <p className="mt-1 text-sm text-soft" data-testid="hands">
          {words.hands(hands)}
        </p>
      )}
      <ol className="mt-2">
        {entries.map((entry, index) => {
          const day = time.dayAndYear(entry.atMs);
          const before = entries[index - 1];
          const another = !before || time.dayAndYear(before.atMs) !== day;
          return (
            <Fragment key={`${entry.atMs}-${index}`}>
              {another && <li className="border-t border-rule pt-2 text-sm font-semibold">{day}</li>}
              <li className="grid grid-cols-[3.5rem_minmax(0,1fr)] gap-2 border-t border-rule py-1.5 text-sm">
                <span className="text-soft">
                  {time.clock(entry.atMs)}
                  {whoOf(entry) && <span className="block text-xs break-words">{whoOf(entry)}</span>}
                </span>
                <EntryWords entry={entry} sheet={sheet} />
              </li>
            </Fragment>
          );
        })}
      </ol>
    </section>
  );
}

/** What it was. */
function EntryWords({ entry, sheet }: { entry: Entry; sheet: BakeRecord['sheet'] }) {
  const time = useKitchenTime();
  const units = useUnits();
  switch (entry.kind) {
    case 'reading':
      return (
        <p>
          {words.read(READING_WORD[entry.of])}
          <strong>{units.temperature(entry.tempC)}</strong>
        </p>
      );
    case 'look':
      return <LookEntry look={entry} sheet={sheet} />;
    case 'anew': {
      const heat = entry.tempC === null ? null : units.temperature(entry.tempC);
      return <p>{words.setAnew(entry.count, formatDuration(entry.durationS), heat)}</p>;
    }
    case 'course':
      return <p>{words.courses[entry.by](entry.lost)}</p>;
    case 'paused':
      return <p>{words.paused(time.dayAndClock(entry.toMs))}</p>;
    case 'handed':
      return <p>{words.handed(entry.to, entry.text)}</p>;
    case 'cleaned':
      return <p>{words.cleaned}</p>;
    case 'skipped':
      return (
        <p>
          <strong>{STEP_WORD[entry.step.kind]}</strong> {words.wasSkipped}
        </p>
      );
    case 'mended':
      return <p>{words.mended[entry.by](entry.what)}</p>;
    case 'felt':
      return (
        <p>
          {words.itFelt}
          <strong>{BAND_WORD[entry.band].name.toLowerCase()}</strong>
        </p>
      );
    case 'rise':
      return (
        <p>
          {words.at(RISE_OF_WORD[entry.of])}
          <strong>{grownWord(entry.grownPercent)}</strong>
        </p>
      );
    case 'reopened':
      return <p>{words.openedAgainItHadBeen(time.clock(entry.endedAtMs))}</p>;
    case 'note':
      return <p className="border-l-4 border-edge pl-2 whitespace-pre-line">{entry.text}</p>;
    case 'step':
      return (
        <p className="flex justify-between gap-3">
          <span>
            <strong>{STEP_WORD[entry.step.kind]}</strong>{' '}
            {[entry.step.title, wordCall(callOf(sheet, entry.step.id))].filter(Boolean).join(' · ')}
          </span>
          <span className="text-right whitespace-nowrap">
            {formatDuration(Math.round(entry.tookS / 60) * 60)}
            {entry.step.minS !== null && (
              <span className="block text-xs text-soft">
                {words.planned(formatDurationRange(entry.step.minS, entry.step.maxS))}
              </span>
            )}
          </span>
        </p>
      );
  }
}

/** What a load, or its trial, was like. */
function LookEntry({ look, sheet }: { look: Look; sheet: BakeRecord['sheet'] }) {
  const units = useUnits();
  const { trialOf, stepId, tookS, coreC, colour } = look;
  const was = [coreC === null ? null : units.temperature(coreC), colour && words.colours[colour]];
  return (
    <p>
      {trialOf === null ? words.cameOut(wordCall(callOf(sheet, stepId))) : words.trialOut(trialOf)}{' '}
      {words.after(formatDuration(tookS))}: <strong>{was.filter(Boolean).join(', ')}</strong>
    </p>
  );
}
