'use client';
import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts';
import type { GoesWith } from '@/core/record';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { words } from '@/wording/screens/patterns/PatternsPage';

interface ScoredPointsProps {
  readonly row: GoesWith;
  readonly name: string;
  readonly say: (value: number) => string;
}

/** Every bake at its figure and its score: what two halves leave out. */
export function ScoredPoints({ row, name, say }: ScoredPointsProps) {
  return (
    <figure className="mt-4">
      <figcaption className="text-sm font-semibold">{words.chart(name, row.points.length)}</figcaption>
      <ResponsiveContainer width="100%" height={220}>
        <ScatterChart margin={{ top: 8, right: 16, bottom: 4, left: -20 }}>
          <CartesianGrid {...GRID} />
          <XAxis {...AXIS} type="number" dataKey="at" domain={['auto', 'auto']} tickFormatter={say} />
          <YAxis {...AXIS} type="number" dataKey="score" domain={[1, 5]} ticks={[1, 2, 3, 4, 5]} name={words.score} />
          <Tooltip {...TOOLTIP} formatter={(value, key) => (key === words.score ? String(value) : say(Number(value)))} />
          <Scatter data={[...row.points]} fill="var(--ink)" isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </figure>
  );
} // prettier-ignore
