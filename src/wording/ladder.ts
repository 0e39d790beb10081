import type { LadderAxis } from '@/core/trial';

export const AXIS_WORD: Readonly<Record<LadderAxis, string>> = {
  water: 'Water',
  binder: 'Binder',
  yeast: 'Yeast',
  proof: 'Proof',
  oven: 'Oven heat',
};

/** What a value of an axis is counted in, and against what. */
export const AXIS_UNIT: Readonly<Record<LadderAxis, { readonly unit: string; readonly against: string }>> = {
  water: { unit: 'points', against: 'of hydration more or less than the formula has' },
  binder: { unit: '%', against: 'of what the formula has' },
  yeast: { unit: '%', against: 'of what the formula has' },
  proof: { unit: '%', against: 'of the time the formula gives it' },
  oven: { unit: '°C', against: 'more or less than the formula has' },
};

/** A rung's place in words: "+5 points"; of an oven in the reader's degrees. */
export function wordRung(
  axis: LadderAxis,
  value: number,
  { degreesPerC, temperatureUnit }: { readonly degreesPerC: number; readonly temperatureUnit: string },
): string {
  if (axis !== 'water' && axis !== 'oven') return `${value} %`;
  const [figure, unit] =
    axis === 'oven' ? [value * degreesPerC, temperatureUnit] : [value, AXIS_UNIT[axis].unit];
  const shown = Math.round(10 * Math.abs(figure)) / 10;
  return `${figure > 0 ? '+' : figure < 0 ? '−' : '±'}${shown} ${unit}`;
}
