'use client';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { stateOf, type BakeRecord } from '@/core/bake';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/compare/ComparePage';

/** Told apart by colour and by dashes. */
const LOOK = [
  { stroke: 'var(--ink)' },
  { stroke: 'var(--is-leaven)', strokeDasharray: '6 3' },
  { stroke: 'var(--is-liquid)', strokeDasharray: '2 3' },
  { stroke: 'var(--is-fat)', strokeDasharray: '10 3 2 3' },
  { stroke: 'var(--is-sweet)', strokeDasharray: '1 4' },
  { stroke: 'var(--is-binder)', strokeDasharray: '12 4' },
] as const;

/** How far each had risen, by minutes from its own start; where nobody looked at two of them there is nothing to compare. */
export function RiseCurves({ bakes, heads }: { bakes: readonly BakeRecord[]; heads: readonly string[] }) {
  const numbers = useNumbers();
  const marks = bakes.map((bake) =>
    stateOf(bake).rises.map(({ atMs, grownPercent }) => ({
      min: Math.round((atMs - bake.startedAtMs) / 60_000),
      grownPercent,
    })),
  );
  if (marks.filter((each) => each.length > 0).length < 2) return null;
  const points = marks
    .flatMap((each, index) => each.map(({ min, grownPercent }) => ({ min, [`b${index}`]: grownPercent })))
    .sort((a, b) => a.min - b.min);
  return (
    <figure className="docket mt-5 rounded-b-md px-4 pt-4 pb-3" data-testid="rise-curves">
      <figcaption className="font-head text-xl font-bold">{words.rose}</figcaption>
      <ResponsiveContainer width="100%" height={220}>
        <LineChart data={points} margin={{ top: 12, right: 16, bottom: 0, left: -4 }}>
          <CartesianGrid {...GRID} />
          <XAxis {...AXIS} dataKey="min" type="number" domain={[0, 'dataMax']} unit=" min" />
          <YAxis {...AXIS} unit=" %" domain={[0, 'auto']} />
          <Tooltip
            {...TOOLTIP}
            labelFormatter={(at) => `${numbers.decimal(Number(at), 0)} ${words.minutesIn}`}
            formatter={(value) => `+${numbers.decimal(Number(value), 0)} %`}
          />
          <Legend iconType="plainline" height={24} itemSorter={null} />
          {bakes.map(({ id }, index) =>
            marks[index]!.length === 0 ? null : (
              <Line
                key={id}
                {...LOOK[index % LOOK.length]}
                dataKey={`b${index}`}
                name={heads[index] ?? ''}
                strokeWidth={2}
                dot={{ r: 4, strokeDasharray: '' }}
                connectNulls
                isAnimationActive={false}
              />
            ),
          )}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
