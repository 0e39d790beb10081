import { COLOURS, type Colour } from '../colours';

export { COLOURS, type Colour };
const FROM: readonly number[] = [0, 0.5, 1.5, 5, 12, 32, 90];

/** By its browning index. */
export function colourOf(index: number): Colour {
  let at = 0;
  while (at + 1 < FROM.length && index >= FROM[at + 1]!) at += 1;
  return COLOURS[at]!;
}

/**
 * The index as lightness and hue for drawing, CIE L*, a*, b*: dough at about (84, 2, 18), golden (65, 12, 36), brown (45, 15, 27),
 * burnt (22, 3, 6); measured crusts lie along such a path (Purlis & Salvadori 2009).
 */
export function crustLab(index: number): { readonly l: number; readonly a: number; readonly b: number } {
  const path: readonly (readonly [number, number, number, number])[] = [
    [0, 84, 2, 18], [0.5, 79, 5, 26], [1.5, 70, 10, 34], [5, 60, 14, 36], [12, 49, 16, 30], [32, 36, 12, 18], [90, 22, 3, 6],
  ]; // prettier-ignore
  const last = path[path.length - 1]!;
  if (index >= last[0]) return { l: last[1], a: last[2], b: last[3] };
  let at = 0;
  while (index >= path[at + 1]![0]) at += 1;
  const low = path[at]!;
  const high = path[at + 1]!;
  const share = (index - low[0]) / (high[0] - low[0]);
  const mix = (column: 1 | 2 | 3) => low[column] + share * (high[column] - low[column]);
  return { l: mix(1), a: mix(2), b: mix(3) };
}
