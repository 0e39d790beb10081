'use client';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { heatOven, type KitOven } from '@/core/kit';
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/kit/OffsetChart';

const DIALS_C = [100, 125, 150, 175, 200, 225, 250, 275, 300] as const;
const signed = (degrees: number) => {
  const whole = formatDecimal(Math.abs(degrees), 0);
  return `${whole === '0' ? '' : degrees < 0 ? '−' : '+'}${whole}°`;
};

/** How far the dial is off at each setting: the readings, what is made of them, and the range that holds four of five. */
export function OffsetChart({ oven, roomC }: { oven: KitOven; roomC: number }) {
  const numbers = useNumbers();
  const units = useUnits();
  const dial = (dialC: number) => Number(units.temperatureNumber(dialC));
  const line = DIALS_C.map((dialC) => {
    const { offsetC, offsetSdC } = heatOven(oven, roomC, dialC);
    const half = Z80 * offsetSdC;
    return {
      dial: dial(dialC),
      off: units.degreesPerC * offsetC,
      range: [units.degreesPerC * (offsetC - half), units.degreesPerC * (offsetC + half)],
    };
  });
  const readings = oven.readings.map(({ dialC, trueC }) => ({
    dial: dial(dialC),
    reading: units.degreesPerC * (trueC - dialC),
  }));
  return (
    <figure className="mt-2" data-testid="offset-chart">
      <figcaption className="text-xs text-soft">{words.offTheDialEachReading}</figcaption>
      <ResponsiveContainer width="100%" height={170}>
        <ComposedChart margin={{ top: 8, right: 8, bottom: 0, left: -12 }}>
          <CartesianGrid {...GRID} />
          <XAxis
            {...AXIS}
            dataKey="dial"
            type="number"
            domain={[dial(100), dial(300)]}
            ticks={DIALS_C.filter((_, index) => index % 2 === 0).map(dial)}
            unit="°"
          />
          <YAxis {...AXIS} tickFormatter={signed} width={56} />
          <Tooltip
            {...TOOLTIP}
            labelFormatter={(at) => words.dialAt(numbers.decimal(Number(at), 0), units.temperatureUnit)}
            formatter={(value) =>
              Array.isArray(value)
                ? value.map((end) => numbers.mark(signed(Number(end)))).join(' to ')
                : numbers.mark(signed(Number(value)))
            }
          />
          <Area
            data={line}
            dataKey="range"
            name={words.range}
            stroke="none"
            fill="var(--is-fat)"
            fillOpacity={0.18}
            isAnimationActive={false}
          />
          <Line
            data={line}
            dataKey="off"
            name={words.takenAs}
            stroke="var(--is-fat)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Scatter
            data={readings}
            dataKey="reading"
            name={words.reading}
            fill="var(--ink)"
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
