'use client';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { RiseMark } from '@/core/bake';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { useKitchenTime } from '../preferences/time';
import { RISE_OF_WORD } from '@/wording/rise';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/logbook/RiseChart';

const SERIES = [
  { of: 'jar', stroke: 'var(--is-leaven)', strokeDasharray: '' },
  { of: 'dough', stroke: 'var(--ink)', strokeDasharray: '6 3' },
] as const satisfies readonly { of: RiseMark['of']; stroke: string; strokeDasharray: string }[];

/** How far it had risen when somebody looked: jar and dough, each on its own. */
export function RiseChart({ marks }: { marks: readonly RiseMark[] }) {
  const numbers = useNumbers();
  const time = useKitchenTime();
  if (marks.length < 2) return null;
  const points = [...marks]
    .sort((a, b) => a.atMs - b.atMs)
    .map(({ atMs, of, grownPercent }) => ({ atMs, [of]: grownPercent }));
  return (
    <figure className="docket rounded-b-md px-4 pt-4 pb-3" data-testid="rise-chart">
      <figcaption className="font-head text-xl font-bold">
        {words.howItRose}
        <span className="sr-only">
          {[...marks]
            .sort((a, b) => a.atMs - b.atMs)
            .map(({ atMs, of, grownPercent }) =>
              words.atTheMark(time.clock(atMs), RISE_OF_WORD[of], numbers.decimal(grownPercent, 0)),
            )
            .join('')}
        </span>
      </figcaption>
      <ResponsiveContainer width="100%" height={200}>
        <LineChart data={points} margin={{ top: 12, right: 16, bottom: 0, left: -4 }}>
          <CartesianGrid {...GRID} />
          <XAxis
            {...AXIS}
            dataKey="atMs"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={time.clock}
            ticks={points.map(({ atMs }) => atMs)}
            minTickGap={24}
          />
          <YAxis {...AXIS} unit=" %" domain={[0, 'auto']} />
          <Tooltip
            {...TOOLTIP}
            labelFormatter={(at) => time.clock(Number(at))}
            formatter={(value) => `+${numbers.decimal(Number(value), 0)} %`}
          />
          <Legend iconType="plainline" height={24} />
          {SERIES.filter(({ of }) => marks.some((mark) => mark.of === of)).map(({ of, ...look }) => (
            <Line
              key={of}
              {...look}
              dataKey={of}
              name={RISE_OF_WORD[of]}
              strokeWidth={2}
              dot={{ r: 4, strokeDasharray: '' }}
              connectNulls
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
