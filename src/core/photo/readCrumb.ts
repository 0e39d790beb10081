import { ok, refuse, type Result } from '../result';
import { findHoles, leastPoints, type Face } from './holes';
import { CRUMB_READER, PHOTO_LIMITS } from './photoLimits';
import type { CrumbFigures, Mark } from './photoSchema';
import { pieces, shrunk, type Mask, type Picture } from './raster';
import { sliceMask } from './sliceMask';

/** Pictures are read at this size, longer side in points. */
export const WORK_PX = 720;

/** One hole takes up no more of a slice. */
const MOST_OF_FACE = 0.4;

/** What was found in a picture: enough to compute figures anew after a mend. */
export interface ReadSlice extends Face {
  readonly slice: Mask;
}

export interface CrumbReading {
  readonly found: ReadSlice;
  readonly figures: CrumbFigures;
}

/**
 * Reads a photograph of a cut face: where the slice lies, what of it is crumb, what of that is hole.
 *
 * Holds for one slice, straight from above, on a board of another brightness or colour, in whatever light; a picture of 12 megapixels and one
 * of a tenth of that read alike, since both are read at 720 points. Porosity is that of the face within the crust.
 *
 * @returns noSlice where no slice is to be found
 */
export function readCrumb(picture: Picture): Result<CrumbReading> {
  const small = shrunk(picture, WORK_PX);
  const slice = Math.min(small.width, small.height) < 80 ? null : sliceMask(small);
  if (!slice) return refuse('noSlice');
  const found = { slice, ...findHoles(small, slice, boxOf(slice).height) };
  const figures = crumbFigures(found, []);
  const [largest] = pieces(found.holes);
  const area = found.face.at.reduce((sum, is) => sum + is, 0);
  // a shade across the whole of it, and not a hole in bread
  if (!figures || (largest && largest.length > MOST_OF_FACE * area)) return refuse('noSlice');
  return ok({ found, figures });
}

/** What was found, put right by hand: within each circle all of the face is hole, or none. Later marks go over earlier ones. */
export function mended(found: ReadSlice, marks: readonly Mark[]): ReadSlice {
  if (marks.length === 0) return found;
  const { width, height } = found.holes;
  const at = Uint8Array.from(found.holes.at);
  for (const { x, y, r, as } of marks) {
    const [cx, cy, reach] = [x * width, y * height, r * width];
    for (let py = Math.max(0, Math.floor(cy - reach)); py <= Math.min(height - 1, cy + reach); py++)
      for (let px = Math.max(0, Math.floor(cx - reach)); px <= Math.min(width - 1, cx + reach); px++) {
        const index = py * width + px;
        if (found.face.at[index] && Math.hypot(px + 0.5 - cx, py + 0.5 - cy) <= reach)
          at[index] = as === 'hole' ? 1 : 0;
      }
  }
  return { ...found, holes: { width, height, at } };
}

/** The slice upright: its base's slope is taken out. */
interface Upright {
  readonly slope: number;
  /** Top and base at the middle, left and right, in points. */
  readonly top: number;
  readonly base: number;
  readonly left: number;
  readonly right: number;
  readonly width: number;
  readonly height: number;
}

/** Lines through the lowest points of the middle of the slice, by the median of their slopes (Theil & Sen). */
function boxOf(slice: Mask): Upright {
  const { width, height, at } = slice;
  const [tops, bases] = [new Map<number, number>(), new Map<number, number>()];
  for (let x = 0; x < width; x++)
    for (let y = 0; y < height; y++) {
      if (!at[y * width + x]) continue;
      if (!tops.has(x)) tops.set(x, y);
      bases.set(x, y + 1);
    }
  const xs = [...bases.keys()];
  const [left, right] = [Math.min(...xs), Math.max(...xs) + 1];
  const middle = xs.filter((x) => x > left + 0.2 * (right - left) && x < right - 0.2 * (right - left));
  const slopes: number[] = [];
  const apart = Math.floor(middle.length / 2);
  for (let i = 0; i + apart < middle.length; i++)
    slopes.push(
      (bases.get(middle[i + apart]!)! - bases.get(middle[i]!)!) / (middle[i + apart]! - middle[i]!),
    );
  slopes.sort((a, b) => a - b);
  const slope = slopes[Math.floor(slopes.length / 2)] ?? 0;
  const scale = Math.sqrt(1 + slope * slope);
  const off = (x: number, y: number) => (y - slope * (x - (left + right) / 2)) / scale;
  const along = (x: number, y: number) => (x + slope * y) / scale;
  const sorted = (values: number[]) => values.sort((a, b) => a - b);
  const base = sorted(middle.map((x) => off(x, bases.get(x)!)))[Math.floor(0.6 * middle.length)] ?? height;
  const highest = sorted(xs.map((x) => off(x, tops.get(x)!)))[Math.floor(0.005 * xs.length)] ?? 0;
  const ways = sorted([...xs.map((x) => along(x, bases.get(x)!)), ...xs.map((x) => along(x, tops.get(x)!))]);
  return {
    slope, top: highest, base, left, right,
    width: ways[ways.length - 1]! - ways[0]!, height: Math.max(1, base - highest),
  }; // prettier-ignore
}

/** Figures of what was found. Null: there is no face to speak of. */
export function crumbFigures(found: ReadSlice, marks: readonly Mark[]): CrumbFigures | null {
  const { slice, face, holes } = mended(found, marks);
  const box = boxOf(slice);
  const count = (mask: Mask) => mask.at.reduce((sum, is) => sum + is, 0);
  const area = count(face);
  if (area < 400) return null;
  const all = pieces(holes, leastPoints(box.height));
  const open = all.reduce((sum, piece) => sum + piece.length, 0);
  const round = (value: number, places: number) => Number(value.toFixed(places));
  return {
    reader: CRUMB_READER,
    porosityPercent: round((100 * open) / area, 1),
    holes: Math.min(20_000, all.length),
    middleHolePercent: round((100 * middleAcross(all, open)) / box.height, 2),
    evenness: round(evennessOf(face, holes, box), 3),
    tunnelPercent: round(Math.min(100, (100 * longestOf(all, holes.width)) / box.width), 1),
    denseLinePercent: round(denseLine(face, holes, box), 1),
    heightToWidth: round(box.height / box.width, 3),
    outline: outlineOf(slice),
    marks: [...marks],
  };
}

/** Across by area, points: half of all that is hole lies in larger ones. */
function middleAcross(all: readonly Int32Array[], open: number): number {
  let sum = 0;
  for (const { length } of all) {
    sum += length;
    if (sum >= open / 2) return 2 * Math.sqrt(length / Math.PI);
  }
  return 0;
}

/** The longest way within one hole, points: over some directions. */
function longestOf(all: readonly Int32Array[], width: number): number {
  let longest = 0;
  // the largest by area, and what may be long and thin
  for (const piece of all.slice(0, 60))
    for (let turn = 0; turn < 12; turn++) {
      const [cos, sin] = [Math.cos((turn * Math.PI) / 12), Math.sin((turn * Math.PI) / 12)];
      let [low, high] = [Infinity, -Infinity];
      for (const index of piece) {
        const way = (index % width) * cos + Math.floor(index / width) * sin;
        if (way < low) low = way;
        if (way > high) high = way;
      }
      longest = Math.max(longest, high - low + 1);
    }
  return longest;
}

/** Squares of a fifth of the height, and how much their porosities differ: 1 − their spread over their mean, by area. */
function evennessOf(face: Mask, holes: Mask, { height, base, slope, left, right }: Upright): number {
  const side = Math.max(4, height / 5);
  const squares = new Map<number, { area: number; open: number }>();
  for (let index = 0; index < face.at.length; index++) {
    if (!face.at[index]) continue;
    const x = index % face.width;
    const y = (index - x) / face.width;
    const up = base - (y - slope * (x - (left + right) / 2));
    const key = Math.floor((x - left) / side) * 1000 + Math.floor(up / side) + 100;
    const square = squares.get(key) ?? { area: 0, open: 0 };
    square.area += 1;
    square.open += holes.at[index]!;
    squares.set(key, square);
  }
  const whole = [...squares.values()].filter(({ area }) => area > 0.35 * side * side);
  const [area, open] = whole.reduce(([a, o], square) => [a + square.area, o + square.open], [0, 0]);
  if (whole.length < 3 || open === 0) return open === 0 ? 1 : 0.5;
  const mean = open / area;
  const spread = Math.sqrt(whole.reduce((sum, { area: a, open: o }) => sum + (a / area) * (o / a - mean) ** 2, 0));
  return Math.max(0, 1 - Math.min(1, spread / mean));
} // prettier-ignore

/** How far up from the base hardly anything is open, % of the height. */
function denseLine(face: Mask, holes: Mask, { height, base, slope, left, right }: Upright): number {
  const bins = 100;
  const [area, open] = [new Float64Array(bins), new Float64Array(bins)];
  for (let index = 0; index < face.at.length; index++) {
    if (!face.at[index]) continue;
    const x = index % face.width;
    const y = (index - x) / face.width;
    // the middle three quarters: at its sides crumb is close in any loaf
    if (Math.abs(x - (left + right) / 2) > 0.375 * (right - left)) continue;
    const bin = Math.floor((bins * (base - (y - slope * (x - (left + right) / 2)))) / height);
    if (bin < 0 || bin >= bins) continue;
    area[bin]! += 1;
    open[bin]! += holes.at[index]!;
  }
  const total = area.reduce((sum, value) => sum + value, 0);
  const mean = open.reduce((sum, value) => sum + value, 0) / Math.max(1, total);
  if (mean === 0) return 100;
  const first = area.findIndex((value) => value > 0);
  let bin = Math.max(0, first);
  // two bins together: one hole that reaches down is no end of a line
  while (bin < bins - 1 && open[bin]! + open[bin + 1]! < 0.2 * mean * (area[bin]! + area[bin + 1]!)) bin++;
  return bin - Math.max(0, first);
}

/** The slice's edge by equal angles round its middle, as shares of the picture. */
function outlineOf({ width, height, at }: Mask): CrumbFigures['outline'] {
  let [mx, my, count] = [0, 0, 0];
  at.forEach((is, index) => {
    if (is) [mx, my, count] = [mx + (index % width), my + Math.floor(index / width), count + 1];
  });
  [mx, my] = [mx / count, my / count];
  return Array.from({ length: PHOTO_LIMITS.outlinePoints }, (_, turn) => {
    const angle = (2 * Math.PI * turn) / PHOTO_LIMITS.outlinePoints;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    let [x, y, far] = [mx, my, 0];
    for (let step = 0; step < width + height; step++) {
      const [px, py] = [Math.round(mx + dx * step), Math.round(my + dy * step)];
      if (px < 0 || py < 0 || px >= width || py >= height) break;
      if (at[py * width + px]) [x, y, far] = [mx + dx * step, my + dy * step, step];
      else if (step > far + 12) break;
    }
    return { x: Number(Math.min(1, Math.max(0, x / width)).toFixed(4)), y: Number(Math.min(1, Math.max(0, y / height)).toFixed(4)) };
  });
} // prettier-ignore
