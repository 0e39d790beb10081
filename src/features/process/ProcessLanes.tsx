'use client';
import { useMemo } from 'react';
import type { Recovery } from '@/core/process/processOf';
import { callOf, processOfSheet, type BatchSheet } from '@/core/batch';
import { formatDuration } from '@/core/units';
import { wordCall } from '@/wording/calls';
import { words } from '@/wording/screens/process/ProcessLanes';
import { STEP_WORD } from '@/wording/words';
import { useUnits } from '../preferences/PreferencesProvider';

type Placed = ReturnType<typeof processOfSheet>['activities'][number];

/** A bar of less than this share of the day has no room for a word; it is read out, and told where it is pointed at. */
const NARROW = 0.045;

/** Bars of one lane that lie over one another go into rows of their own. */
function rowsOf(activities: readonly Placed[]): readonly (readonly Placed[])[] {
  const rows: Placed[][] = [];
  for (const activity of activities) {
    const row = rows.find((each) => each.every(({ startS, endS }) => endS <= activity.startS + 1 || startS >= activity.endS - 1)); // prettier-ignore
    if (row) row.push(activity);
    else rows.push([activity]);
  }
  return rows;
}

/** A step of hours is round: every so many minutes a line. */
function tickS(endS: number): number {
  const steps = [900, 1800, 3600, 7200, 14_400, 28_800, 86_400];
  return steps.find((step) => endS / step <= 9) ?? 172_800;
}

const HOT: ReadonlySet<string | null> = new Set(['oven', 'kettle', 'fryer', 'plate']);
const lookOf = ({ resource, hands, kind }: Placed): 'heat' | 'hands' | 'waits' =>
  HOT.has(resource) || kind === 'preheat' ? 'heat' : hands ? 'hands' : 'waits';

/**
 * The process of the batch: what the dough does, then each of its breads on a lane of its own, load by load, on one axis of hours from the beginning. At usual
 * lengths, no clock; what waits for its oven says so.
 */
export function ProcessLanes({ sheet, recoversS }: { sheet: BatchSheet; recoversS?: Recovery }) {
  const units = useUnits();
  const { activities, endS } = useMemo(() => processOfSheet(sheet, recoversS), [sheet, recoversS]);
  if (activities.length < 2 || endS <= 0) return null;
  const lanes = [null, ...(sheet.ways ?? []).map(({ wayId }) => wayId)]
    .map((wayId) => ({
      name: sheet.ways?.find((way) => way.wayId === wayId)?.name ?? (sheet.ways ? words.dough : ''),
      rows: rowsOf(activities.filter((activity) => activity.wayId === wayId)),
    }))
    .filter(({ rows }) => rows.length > 0);
  const percent = (atS: number) => `${(100 * atS) / endS}%`;
  const step = tickS(endS);
  const ticks = Array.from({ length: Math.floor(endS / step) + 1 }, (_, at) => at * step).filter((atS) => atS <= 0.96 * endS); // prettier-ignore
  const waited = activities.filter(({ waitedS }) => waitedS >= 60);
  const longest = waited.reduce<Placed | null>((most, each) => (each.waitedS > (most?.waitedS ?? 0) ? each : most), null); // prettier-ignore
  return (
    <section aria-label={words.title} className="no-print mt-5" data-testid="process-lanes">
      <h2 className="text-base">
        {words.title}{' '}
        <span className="font-sans text-sm font-normal text-soft">
          {words.inAll(formatDuration(Math.round(endS / 300) * 300))}
        </span>
      </h2>
      <div className="mt-1 overflow-x-auto" tabIndex={0} role="group" aria-label={words.lanes}>
        <div className="relative min-w-[34rem] pb-5">
          {ticks.map((atS) => (
            <span
              key={atS}
              aria-hidden
              className="absolute top-0 bottom-0 border-l border-rule text-xs text-soft"
              style={{ left: percent(atS) }}
            >
              <span className="absolute bottom-0 left-0.5 whitespace-nowrap">{words.after(atS / 3600)}</span>
            </span>
          ))}
          {lanes.map(({ name, rows }) => (
            <div key={name} className="relative border-t border-rule pt-0.5 pb-1">
              {name && <p className="text-xs font-semibold">{name}</p>}
              {rows.map((row, at) => (
                <ul key={at} className="relative h-7">
                  {row.map((activity) => {
                    const word = STEP_WORD[activity.kind];
                    const { minS, maxS } = activity.lasts;
                    const told = [word, wordCall(callOf(sheet, activity.id)), units.duration(Math.round(minS), Math.round(maxS))].filter(Boolean).join(', '); // prettier-ignore
                    return (
                      <li
                        key={activity.id}
                        title={words.detail(
                          told,
                          activity.mayWaitS >= 60
                            ? formatDuration(Math.round(activity.mayWaitS / 60) * 60)
                            : null,
                        )}
                        className={`absolute top-0.5 h-6 overflow-hidden rounded-sm border px-0.5 text-xs leading-5 whitespace-nowrap ${lookOf(activity) === 'heat' ? 'border-alarm bg-alarm-wash text-ink' : lookOf(activity) === 'hands' ? 'border-ink bg-ink text-surface' : 'border-edge bg-surface text-ink'}`}
                        style={{
                          left: percent(activity.startS),
                          width: `max(3px, ${percent(activity.endS - activity.startS)})`,
                        }}
                      >
                        <span aria-hidden>
                          {(activity.endS - activity.startS) / endS > NARROW &&
                            `${word}${activity.load ? ` ${activity.load.at}` : ''}`}
                        </span>
                        <span className="sr-only">{told}</span>
                      </li>
                    );
                  })}
                </ul>
              ))}
            </div>
          ))}
        </div>
      </div>
      {longest && (
        <p className={longest.tooLongS >= 60 ? 'mt-1 text-sm text-alarm' : 'mt-1 text-sm text-soft'}>
          {(longest.tooLongS >= 60 ? words.waitsTooLong : words.waits)(
            [STEP_WORD[longest.kind].toLowerCase(), wordCall(callOf(sheet, longest.id))]
              .filter(Boolean)
              .join(', '),
            formatDuration(Math.round(longest.waitedS / 60) * 60),
            formatDuration(Math.max(60, Math.round((longest.waitedS - longest.tooLongS) / 60) * 60)),
          )}
        </p>
      )}
    </section>
  );
}
