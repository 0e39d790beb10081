import {
  eaten,
  filled,
  grown,
  levelOf,
  maskOf,
  pieces,
  shrunk,
  softened,
  type Mask,
  type Picture,
} from './raster';
import { offSurface, overPicture, surfaceThrough, termsAt, type Place } from './surface';

/** The slice is looked for in a smaller picture: its edge needs no more. */
const MASK_PX = 360;
/** Share of each side along which the board is looked at. */
const FRAME = 0.05;
/** A slice fills no less and no more of the picture, and has no deeper bays than bread has. */
const AREA = { min: 0.06, max: 0.93 };
const LEAST_SOLID = 0.88;
/** No more of its edge may lie along the picture's. */
const MOST_CUT_OFF = 0.3;
/** Between board and slice there has to be a step of this much, as a share of light. */
const LEAST_STEP = 0.06;

/** A little pull towards a flat board, for a frame of which little is seen. */
const PULL = { slope: 0.0002, curve: 0.001 };

/** One channel of the board over the whole picture, by its frame; what differs much (a slice that touches the edge) is left out of it. */
function boardOf(log: Float32Array, width: number, height: number): Float32Array {
  const band = Math.max(3, Math.round(FRAME * Math.min(width, height)));
  const points: Place[] = [];
  for (let y = 0; y < height; y += 2)
    for (let x = 0; x < width; x += 2) {
      const inside = x >= band && x < width - band && y >= band && y < height - band;
      if (!inside) points.push({ terms: termsAt(x / width - 0.5, y / height - 0.5), value: log[y * width + x]! });
    }
  let used = points;
  let fit: readonly number[] = [];
  for (let round = 0; round < 4; round++) {
    const found = surfaceThrough(used, PULL);
    fit = found;
    const off = Float64Array.from(points, (place) => Math.abs(offSurface(found, place)));
    const middling = off.slice().sort()[Math.floor(off.length / 2)]!;
    used = points.filter((_, index) => off[index]! <= Math.max(0.02, 3.5 * middling));
  }
  return overPicture(fit, width, height);
} // prettier-ignore

/** The step that parts many values best in two (Otsu 1979). */
function parting(values: Float32Array, most: number): number {
  const BINS = 256;
  const counts = new Float64Array(BINS);
  for (const value of values) counts[Math.min(BINS - 1, Math.floor((value / most) * BINS))]! += 1;
  let [total, sum] = [0, 0];
  counts.forEach((count, bin) => ((total += count), (sum += count * bin)));
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  for (let bin = 0; bin < BINS - 1; bin++) {
    below += counts[bin]!;
    sumBelow += counts[bin]! * bin;
    if (below === 0 || below === total) continue;
    const [low, high] = [sumBelow / below, (sum - sumBelow) / (total - below)];
    const between = below * (total - below) * (high - low) ** 2;
    if (between > best) [best, at] = [between, bin];
  }
  return ((at + 1) / BINS) * most;
}

/** Area of the hull round a piece, in points. */
function hullArea(points: readonly (readonly [number, number])[]): number {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: readonly number[], a: readonly number[], b: readonly number[]) =>
    (a[0]! - o[0]!) * (b[1]! - o[1]!) - (a[1]! - o[1]!) * (b[0]! - o[0]!);
  const half = (list: readonly (readonly [number, number])[]) => {
    const hull: (readonly [number, number])[] = [];
    for (const point of list) {
      while (hull.length > 1 && turn(hull.at(-2)!, hull.at(-1)!, point) <= 0) hull.pop();
      hull.push(point);
    }
    return hull.slice(0, -1);
  };
  const hull = [...half(sorted), ...half(sorted.reverse())];
  return Math.abs(
    hull.reduce((sum, [x, y], i) => {
      const [nx, ny] = hull[(i + 1) % hull.length]!;
      return sum + x * ny - nx * y;
    }, 0) / 2,
  );
}

/** Left and right end of each row. */
const rowEnds = ({ width, height, at }: Mask): (readonly [number, number])[] => {
  const ends: (readonly [number, number])[] = [];
  for (let y = 0; y < height; y++) {
    const row = at.subarray(y * width, (y + 1) * width);
    const first = row.indexOf(1);
    if (first !== -1) ends.push([first, y], [row.lastIndexOf(1) + 1, y]);
  }
  return ends;
};

/**
 * Where the slice lies: what differs from the board, in light or in colour, in one piece without deep bays.
 *
 * @returns null where there is none: nothing stands out, or what does is no slice by its form, or is cut off by the picture's edge
 */
export function sliceMask(picture: Picture): Mask | null {
  const { width, height } = picture;
  const mask = maskIn(shrunk(picture, MASK_PX));
  if (!mask) return null;
  const at = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      at[y * width + x] =
        mask.at[Math.floor((y * mask.height) / height) * mask.width + Math.floor((x * mask.width) / width)]!;
  return { width, height, at };
}

function maskIn({ width, height, rgba }: Picture): Mask | null {
  const size = width * height;
  const logs = [0, 1, 2].map((channel) => {
    const log = new Float32Array(size);
    for (let index = 0; index < size; index++) log[index] = Math.log(8 + rgba[4 * index + channel]!);
    return softened({ width, height, at: log }).at;
  });
  const boards = logs.map((log) => boardOf(log, width, height));
  const apart = new Float32Array(size);
  for (let index = 0; index < size; index++) {
    const red = logs[0]![index]! - boards[0]![index]!;
    const green = logs[1]![index]! - boards[1]![index]!;
    const blue = logs[2]![index]! - boards[2]![index]!;
    const light = (red + green + blue) / 3;
    const colour = (red - light) ** 2 + (green - light) ** 2 + (blue - light) ** 2;
    // a shadow on the board is darker and of its colour: it counts less
    apart[index] = Math.min(1.2, Math.sqrt((light < 0 ? 0.75 * light : light) ** 2 + 2.2 ** 2 * colour));
  }
  const step = parting(apart, 1.2);
  if (step < LEAST_STEP) return null;
  const unlike = { width, height, at: new Uint8Array(size) };
  for (let index = 0; index < size; index++) unlike.at[index] = apart[index]! > 0.85 * step ? 1 : 0;
  const closed = eaten(filled(grown(unlike, 2)), 2);
  const [largest] = pieces(eaten(closed, 2.5));
  if (!largest) return null;
  const mask = filled(grown(maskOf(largest, unlike), 2.5));
  const inside = { ...mask, at: mask.at.map((is, index) => (is && closed.at[index] ? 1 : 0)) };
  const area = inside.at.reduce((sum, is) => sum + is, 0);
  if (area < AREA.min * size || area > AREA.max * size) return null;
  const ends = rowEnds(inside);
  if (area / hullArea(ends.length > 5 ? ends : []) < LEAST_SOLID) return null;
  let cut = 0;
  for (let x = 0; x < width; x++) cut += inside.at[x]! + inside.at[size - width + x]!;
  for (let y = 0; y < height; y++) cut += inside.at[y * width]! + inside.at[y * width + width - 1]!;
  const around = 2 * (ends.length / 2) + 2 * Math.max(...ends.map(([x]) => x)) - 2 * Math.min(...ends.map(([x]) => x));
  if (cut / around > MOST_CUT_OFF) return null;
  // what stands out has to do so all over, not in some spots that were closed into one
  return levelOf(apart, inside, 0.25) < LEAST_STEP ? null : inside;
} // prettier-ignore
