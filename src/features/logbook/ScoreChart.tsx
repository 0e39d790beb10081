'use client';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { SCORE_NAMES } from '@/core/bake';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { useKitchenTime } from '../preferences/time';
import type { LogbookLine } from './BakeCard';
import { words } from '@/wording/screens/logbook/ScoreChart';

/** Told apart by colour, by dashes and by the shape of their points. */
const LOOK: Record<(typeof SCORE_NAMES)[number], { stroke: string; strokeDasharray?: string }> = {
  crumb: { stroke: 'var(--ink)' },
  crust: { stroke: 'var(--is-fat)', strokeDasharray: '6 3' },
  chew: { stroke: 'var(--is-liquid)', strokeDasharray: '2 3' },
  flavour: { stroke: 'var(--is-sweet)', strokeDasharray: '10 3 2 3' },
};

/** Scores of one formula's bakes over time, oldest on the left; a score left open makes no point. */
export function ScoreChart({ lines }: { lines: readonly LogbookLine[] }) {
  const time = useKitchenTime();
  const bakes = lines
    .filter(({ scores }) => scores && SCORE_NAMES.some((name) => scores[name] !== null))
    .map(({ startedAtMs, scores }) => ({ startedAtMs, ...scores }))
    .sort((a, b) => a.startedAtMs - b.startedAtMs);
  if (bakes.length < 2) return null;
  return (
    <figure className="docket mb-4 rounded-b-md px-4 pt-3 pb-2" data-testid="score-chart">
      <figcaption className="text-sm font-semibold">
        {words.scoresOfTheseBakes(bakes.length)}
        <span className="sr-only">
          {bakes
            .map((bake) =>
              words.scoresOn(
                time.day(bake.startedAtMs),
                SCORE_NAMES.flatMap((name) => (bake[name] == null ? [] : `${name} ${bake[name]}`)).join(', '),
              ),
            )
            .join(' ')}
        </span>
      </figcaption>
      <ResponsiveContainer width="100%" height={190}>
        <LineChart data={bakes} margin={{ top: 8, right: 12, bottom: 0, left: -24 }}>
          <CartesianGrid {...GRID} />
          <XAxis
            {...AXIS}
            dataKey="startedAtMs"
            type="number"
            scale="time"
            domain={['dataMin', 'dataMax']}
            ticks={bakes.map(({ startedAtMs }) => startedAtMs)}
            tickFormatter={time.day}
            minTickGap={24}
          />
          <YAxis {...AXIS} domain={[1, 5]} ticks={[1, 2, 3, 4, 5]} />
          <Tooltip {...TOOLTIP} labelFormatter={(at) => time.dayAndYear(Number(at))} />
          <Legend iconType="plainline" height={24} itemSorter={null} />
          {SCORE_NAMES.map((name) => (
            <Line
              key={name}
              {...LOOK[name]}
              dataKey={name}
              strokeWidth={2}
              dot={{ r: 3, strokeDasharray: '' }}
              connectNulls
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
