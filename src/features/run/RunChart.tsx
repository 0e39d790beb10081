'use client';
import type { ReactNode } from 'react';
import { ticksS, type Run, type RunForecast, type TimeAxis } from '@/core/run';
import { formatDuration } from '@/core/units';
import { cx } from '@/ui/cx';
import { useUnits } from '../preferences/PreferencesProvider';
import { STEP_WORD } from '@/wording/words';
import { StepBlock, STEPS } from './StepBlock';
import { words } from '@/wording/screens/run/RunChart';

/** Heights of the three bands that share the one clock, px. */
const VOLUME = { top: 18, height: 96 } as const;
const TEMP = { top: 146, height: 122 } as const;
export const CHART_HEIGHT = 362;

interface Series {
  readonly atS: readonly number[];
  readonly fromS: number;
}

const line = (
  x: (s: number) => number,
  y: (v: number) => number,
  { atS, fromS }: Series,
  values: readonly number[],
  endS: number,
) =>
  atS
    .map((at, index) =>
      at + fromS <= endS + 1
        ? `${index === 0 ? 'M' : 'L'}${x(at + fromS).toFixed(1)} ${y(values[index] ?? 0).toFixed(1)}`
        : '',
    )
    .join('');

const band = (
  x: (s: number) => number,
  y: (v: number) => number,
  series: Series,
  low: readonly number[],
  high: readonly number[],
  endS: number,
) => {
  const inside = series.atS
    .map((at, index) => ({ at: at + series.fromS, index }))
    .filter(({ at }) => at <= endS + 1);
  const up = inside.map(({ at, index }) => `${x(at).toFixed(1)} ${y(high[index] ?? 0).toFixed(1)}`);
  const down = inside
    .map(({ at, index }) => `${x(at).toFixed(1)} ${y(low[index] ?? 0).toFixed(1)}`)
    .reverse();
  return up.length > 1 ? `M${up.join('L')}L${down.join('L')}Z` : '';
};

/** Ticks with room for their words: behind a fold they crowd. */
function apart(ticks: readonly number[], x: (s: number) => number): number[] {
  const shown: number[] = [];
  for (const tS of ticks) if (shown.length === 0 || x(tS) - x(shown[shown.length - 1]!) > 92) shown.push(tS);
  return shown;
}

interface RunChartProps {
  run: Run;
  axis: TimeAxis;
  width: number;
  forecast: RunForecast | null;
  /** Put beside it, drawn thin. */
  ghost: RunForecast | null;
  ghostRun: Run | null;
  titleOf: (stepId: string) => string;
  chosen: string | null;
  onChoose: (stepId: string) => void;
  /** The step is to take so long; asked while it is dragged. */
  onStretch: (stepId: string, durationS: number) => void;
  onSettle: () => void;
}

/** Rise, dough, oven and core over one clock, the steps beneath. */
export function RunChart({
  run,
  axis,
  width,
  forecast,
  ghost,
  ghostRun,
  titleOf,
  chosen,
  onChoose,
  onStretch,
  onSettle,
}: RunChartProps) {
  const units = useUnits();
  const left = 44;
  const inner = Math.max(200, width - left - 12);
  const x = (atS: number) => left + axis.x(Math.min(run.endS, Math.max(0, atS))) * inner;
  const rise = forecast?.rise;
  const bake = forecast?.bake;
  const mostVolume = Math.max(
    1.5,
    ...(rise?.high ?? []),
    ...(ghost?.rise.volume ?? []),
    // its spring in the oven too
    bake ? (forecast?.bakedVolume ?? 1) : 1,
  );
  const volumeY = (v: number) => VOLUME.top + VOLUME.height * (1 - (v - 1) / (mostVolume - 1));
  const hottest = Math.max(120, ...(bake?.simulation.ovenC ?? []), ...(ghost?.bake?.simulation.ovenC ?? []));
  const tempY = (t: number) => TEMP.top + TEMP.height * (1 - Math.max(0, t) / hottest);
  const riseEndS = run.bake?.fromS ?? run.endS;
  const riseSeries = rise && { atS: rise.atS, fromS: run.riseFromS };
  const bakeSeries = bake && run.bake && { atS: bake.simulation.atS, fromS: run.bake.fromS };
  const ghostRise = ghost && ghostRun && { atS: ghost.rise.atS, fromS: ghostRun.riseFromS };
  const ghostBake = ghost?.bake &&
    ghostRun?.bake && { atS: ghost.bake.simulation.atS, fromS: ghostRun.bake.fromS };
  const text = (
    at: number,
    y: number,
    words: ReactNode,
    anchor: 'start' | 'middle' | 'end' = 'start',
    className = '',
  ) => (
    <text
      key={`${at} ${y}`}
      x={at}
      y={y}
      textAnchor={anchor}
      className={cx('fill-soft text-[13px]', className)}
    >
      {words}
    </text>
  );
  const told = [
    rise &&
      words.theDoughCanRise(
        Math.round((rise.canHold.low - 1) * 100),
        Math.round((rise.canHold.high - 1) * 100),
      ),
    bake && words.atTheEndOf(units.temperature(Math.round(bake.coreAtEndC.value))),
  ]
    .filter(Boolean)
    .join(' ');
  return (
    <div className="relative" style={{ height: CHART_HEIGHT }}>
      <svg
        width={width}
        height={CHART_HEIGHT}
        role="img"
        aria-label={`${words.riseDoughOvenAndCore}. ${told}`}
        className="absolute inset-0"
      >
        {apart(ticksS(axis), x).map((tS) => (
          <g key={tS}>
            <line
              x1={x(tS)}
              x2={x(tS)}
              y1={VOLUME.top}
              y2={STEPS.top + STEPS.height}
              stroke="var(--rule)"
              strokeWidth={1}
            />
            {x(tS) < width - 30 &&
              text(x(tS), CHART_HEIGHT - 8, tS === 0 ? '0' : formatDuration(tS), 'middle')}
          </g>
        ))}
        {axis.parts
          .filter((part) => part.folded)
          .map((part) => {
            const middle = left + ((part.fromX + part.toX) / 2) * inner;
            return (
              <g key={part.fromS}>
                <path
                  d={`M${middle - 4} ${VOLUME.top - 6}l4 8l-4 8M${middle + 3} ${VOLUME.top - 6}l4 8l-4 8`}
                  fill="none"
                  stroke="var(--edge)"
                />
                {text(
                  middle,
                  VOLUME.top - 5,
                  words.shortened(formatDuration(part.toS - part.fromS)),
                  'middle',
                )}
              </g>
            );
          })}
        {text(left, VOLUME.top - 5, words.volume, 'start', 'font-semibold')}
        {[1, 1.5, 2, 2.5]
          .filter((v) => v <= mostVolume)
          .map((v) => text(left - 6, volumeY(v) + 4, `× ${v}`, 'end'))}
        <line x1={left} x2={width - 12} y1={volumeY(1)} y2={volumeY(1)} stroke="var(--edge)" />
        {rise && riseSeries && (
          <>
            <path
              d={band(x, volumeY, riseSeries, rise.low, rise.high, riseEndS)}
              fill="var(--is-leaven)"
              opacity={0.18}
            />
            <path
              d={line(x, volumeY, riseSeries, rise.volume, riseEndS)}
              fill="none"
              stroke="var(--is-leaven)"
              strokeWidth={2.5}
            />
            {rise.wantedAtS.value !== null && run.riseFromS + rise.wantedAtS.value <= riseEndS && (
              <g>
                <circle
                  cx={x(run.riseFromS + rise.wantedAtS.value)}
                  cy={volumeY(rise.wanted)}
                  r={4.5}
                  fill="var(--is-leaven)"
                />
                {text(x(run.riseFromS + rise.wantedAtS.value) - 8, volumeY(rise.wanted) - 6, 'ready', 'end')}
              </g>
            )}
            {forecast.bake && run.bake && (
              <path
                d={`M${x(riseEndS)} ${volumeY(rise.end.volume)}L${x(riseEndS + (forecast.bake.simulation.holdsAtS ?? 900))} ${volumeY(forecast.bakedVolume)}`}
                fill="none"
                stroke="var(--is-fat)"
                strokeWidth={2.5}
                strokeDasharray="5 3"
              />
            )}
          </>
        )}
        {ghostRise && ghost && (
          <path
            d={line(x, volumeY, ghostRise, ghost.rise.volume, riseEndS)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.5}
            strokeDasharray="2 4"
          />
        )}
        {text(left, TEMP.top - 6, words.temperature, 'start', 'font-semibold')}
        {[0, 100, 200, 300]
          .filter((t) => t <= hottest)
          .map((t) => (
            <g key={t}>
              <line x1={left} x2={width - 12} y1={tempY(t)} y2={tempY(t)} stroke="var(--rule)" />
              {text(left - 6, tempY(t) + 4, units.temperatureNumber(t), 'end')}
            </g>
          ))}
        {rise && riseSeries && (
          <path
            d={line(x, tempY, riseSeries, rise.doughC, riseEndS)}
            fill="none"
            stroke="var(--is-leaven)"
            strokeWidth={2}
          />
        )}
        {bake && bakeSeries && (
          <>
            <path
              d={line(x, tempY, bakeSeries, bake.simulation.ovenC, (run.bake?.fromS ?? 0) + bake.endS)}
              fill="none"
              stroke="var(--is-fat)"
              strokeWidth={2}
            />
            <path
              d={band(x, tempY, bakeSeries, bake.coreLow, bake.coreHigh, run.endS)}
              fill="var(--ink)"
              opacity={0.16}
            />
            <path
              d={line(x, tempY, bakeSeries, bake.simulation.coreC, run.endS)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2.5}
            />
            {bake.set.value !== null && run.bake && (
              <g>
                <circle cx={x(run.bake.fromS + bake.set.value)} cy={tempY(96)} r={4.5} fill="var(--ink)" />
                {text(x(run.bake.fromS + bake.set.value) + 8, tempY(96) + 16, 'set')}
              </g>
            )}
          </>
        )}
        {ghostBake && ghost?.bake && (
          <path
            d={line(x, tempY, ghostBake, ghost.bake.simulation.coreC, run.endS)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.5}
            strokeDasharray="2 4"
          />
        )}
      </svg>
      <ol aria-label={words.stepsOnTheClock} className="absolute inset-0">
        {run.steps
          .filter((step) => step.endS > step.startS)
          .map((step) => (
            <StepBlock
              key={step.stepId}
              step={step}
              fromX={x(step.startS)}
              toX={x(step.endS)}
              secondsPerPx={axis.secondsPerX((step.startS + step.endS) / 2) / inner}
              title={titleOf(step.stepId) || STEP_WORD[step.kind]}
              chosen={chosen === step.stepId}
              onChoose={() => onChoose(step.stepId)}
              onStretch={(durationS) => onStretch(step.stepId, durationS)}
              onSettle={onSettle}
            />
          ))}
      </ol>
    </div>
  );
}
