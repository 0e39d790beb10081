import { quantileOf } from '../numeric/quantile';
import { lightFall } from './lightFall';
import { depthIn, levelOf, pieces, smoothed, softened, type Field, type Mask, type Picture } from './raster';

/** The face of a slice within its crust, and what of it is hole. */
export interface Face {
  readonly face: Mask;
  readonly holes: Mask;
}

/** Light and colour of a picture: brightness, and how red and how blue for that. */
function channelsOf({ width, height, rgba }: Picture): { light: Field; red: Field; blue: Field } {
  const size = width * height;
  const [light, red, blue] = [new Float32Array(size), new Float32Array(size), new Float32Array(size)];
  for (let index = 0; index < size; index++) {
    // here and below nothing is made for each of half a million points
    const r = rgba[4 * index]!;
    const g = rgba[4 * index + 1]!;
    const b = rgba[4 * index + 2]!;
    light[index] = 0.3 * r + 0.55 * g + 0.15 * b;
    red[index] = Math.log((r + 6) / (g + 6));
    blue[index] = Math.log((b + 6) / (g + 6));
  }
  const field = (at: Float32Array): Field => ({ width, height, at });
  return { light: field(light), red: field(red), blue: field(blue) };
}

/** The crumb's own brightness over the face, holes left out of it: what uneven light made of one crumb. Looked for in a picture a quarter as large. */
function crumbLight(light: Field, face: Mask, radius: number): Field {
  const [small, within] = [quartered(light, face), quarteredMask(face)];
  const reach = Math.max(2, Math.round(radius / 4));
  let [level, bright] = [smoothed(small, within, reach), within];
  for (let round = 0; round < 4; round++) {
    // of what is brighter than most: the crumb between the holes
    const least = 0.9 + 0.02 * round;
    const at = new Uint8Array(small.at.length);
    for (let index = 0; index < at.length; index++)
      at[index] = within.at[index] && small.at[index]! > least * level.at[index]! ? 1 : 0;
    bright = { ...within, at };
    level = smoothed(small, bright, reach);
  }
  return enlarged(level, light);
}

const smallSize = ({ width, height }: Pick<Field, 'width' | 'height'>) => ({
  width: Math.ceil(width / 4),
  height: Math.ceil(height / 4),
});

/** The brightest of each four by four: of crumb between small holes something is left. */
function quartered(light: Field, face: Mask): Field {
  const size = smallSize(light);
  const at = new Float32Array(size.width * size.height);
  for (let y = 0; y < light.height; y++)
    for (let x = 0; x < light.width; x++) {
      const from = y * light.width + x;
      const to = (y >> 2) * size.width + (x >> 2);
      if (face.at[from] && light.at[from]! > at[to]!) at[to] = light.at[from]!;
    }
  return { ...size, at };
}

function quarteredMask(face: Mask): Mask {
  const size = smallSize(face);
  const at = new Uint8Array(size.width * size.height);
  for (let y = 0; y < face.height; y++)
    for (let x = 0; x < face.width; x++)
      if (face.at[y * face.width + x]) at[(y >> 2) * size.width + (x >> 2)] = 1;
  return { ...size, at };
}

/** Between the points of the small one, evenly. */
function enlarged(small: Field, { width, height }: Field): Field {
  const at = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    const v = Math.min(small.height - 1, Math.max(0, (y + 0.5) / 4 - 0.5));
    const [top, fv] = [Math.floor(v), v - Math.floor(v)];
    const bottom = Math.min(small.height - 1, top + 1);
    for (let x = 0; x < width; x++) {
      const u = Math.min(small.width - 1, Math.max(0, (x + 0.5) / 4 - 0.5));
      const left = Math.floor(u);
      const fu = u - left;
      const right = Math.min(small.width - 1, left + 1);
      const a = small.at[top * small.width + left]!;
      const b = small.at[top * small.width + right]!;
      const c = small.at[bottom * small.width + left]!;
      const d = small.at[bottom * small.width + right]!;
      const value = (a * (1 - fu) + b * fu) * (1 - fv) + (c * (1 - fu) + d * fu) * fv;
      // at the rim of what is known the nearest that is
      at[y * width + x] = Number.isNaN(value) ? [a, b, c, d].find((each) => !Number.isNaN(each)) ?? Number.NaN : value;
    }
  }
  return { width, height, at };
} // prettier-ignore

/** Of the slice’s height: no crust goes deeper. */
const DEEPEST_CRUST = 0.12;

/** How thick the crust is, in points: where, from the edge inwards, brightness comes up to the crumb's. */
function crustPoints(light: Field, depth: Field, height: number): number {
  const most = Math.ceil(DEEPEST_CRUST * height);
  const rings: number[][] = Array.from({ length: most + 1 }, () => []);
  for (let index = 0; index < depth.at.length; index++) {
    const deep = depth.at[index]!;
    if (deep > 0) rings[Math.min(most, Math.floor(deep))]!.push(light.at[index]!);
  }
  const bright = (ring: number[]) => quantileOf(ring, 0.7);
  const inner = rings[most] ?? [];
  if (inner.length === 0) return 1;
  const crumb = bright(inner.filter((_, index) => index % Math.ceil(inner.length / 4000) === 0));
  for (let from = 1; from < most; from++) {
    const ring = [...rings[from]!, ...rings[from + 1]!];
    if (ring.length > 0 && bright(ring) > 0.94 * crumb) return from + 1;
  }
  return most;
}

/** The lowest within so many points across, of the mask's. */
function lowestNear(field: Float32Array, { width, height, at }: Mask, radius: number): Float32Array {
  const pass = (from: Float32Array, along: number, count: number, across: number, lines: number): Float32Array => {
    const out = new Float32Array(from.length);
    const reach = 2 * radius + 1;
    const padded = Math.ceil((count + 2 * radius) / reach) * reach;
    const [ahead, behind] = [new Float32Array(padded), new Float32Array(padded)];
    for (let line = 0; line < lines; line++) {
      // running minima from both ends of blocks as long as the reach: any reach is one block's end and the next one's beginning (van Herk 1992)
      for (let k = 0; k < padded; k++) {
        const i = k - radius;
        const value = i < 0 || i >= count ? Infinity : from[line * across + i * along]!;
        ahead[k] = behind[k] = value;
        if (k % reach !== 0 && ahead[k - 1]! < value) ahead[k] = ahead[k - 1]!;
      }
      for (let k = padded - 2; k >= 0; k--)
        if ((k + 1) % reach !== 0 && behind[k + 1]! < behind[k]!) behind[k] = behind[k + 1]!;
      for (let i = 0; i < count; i++) out[line * across + i * along] = Math.min(behind[i]!, ahead[i + reach - 1]!);
    }
    return out;
  };
  const known = field.map((value, index) => (at[index] ? value : Infinity));
  return pass(pass(known, 1, width, width, height), width, height, 1, width);
} // prettier-ignore

/** Of a hole’s depth, where its edge is. At half of it blur moves no edge; walls that slope inwards put it a little higher. */
const EDGE = 0.37;
/** Of the face's edge, so much belongs to no hole. */
const MOST_OF_EDGE = 0.12;
/** Shallower than this it is grain, a smear of the knife or a shade. */
const LEAST_DEPTH = 0.085;

/**
 * What of a slice is hole: darker than the crumb round it, by half of what it is darker at its deepest nearby, and of the crumb's own colour
 * (a seed is not).
 */
export function findHoles(picture: Picture, slice: Mask, heightPx: number): Face {
  const { light: seen, red, blue } = channelsOf(picture);
  const depth = depthIn(slice);
  const fall = lightFall(softened(seen), (index) => depth.at[index]! > DEEPEST_CRUST * heightPx);
  const light: Field = { ...seen, at: seen.at.map((value, index) => value / fall[index]!) };
  const soft = softened(light);
  const crust = crustPoints(soft, depth, heightPx);
  const face: Mask = { ...slice, at: new Uint8Array(slice.at.length) };
  for (let index = 0; index < face.at.length; index++) face.at[index] = depth.at[index]! > crust ? 1 : 0;
  const level = crumbLight(soft, face, Math.max(6, Math.round(heightPx * 0.09)));
  // brightness against the crumb's
  const bright = soft.at.map((value, index) => (face.at[index] ? value / level.at[index]! : 1));
  const noise = noiseOf(light, soft, level, face);
  const least = Math.max(LEAST_DEPTH, 3.2 * noise);
  const dark: Mask = { ...face, at: face.at.map((is, index) => (is && bright[index]! < 1 - least ? 1 : 0)) };
  const near = lowestNear(bright, dark, Math.max(3, Math.round(0.014 * heightPx)));
  const trimmed: Mask = {
    ...dark,
    at: dark.at.map((is, index) => (is && bright[index]! < 1 - EDGE * (1 - near[index]!) ? 1 : 0)),
  };
  const colour = coloursOf(red, blue, face, trimmed);
  const at = new Uint8Array(slice.at.length);
  for (const index of thickerCrust(trimmed, depth, crust, heightPx))
    [face.at[index], trimmed.at[index]] = [0, 0];
  // what runs along much of the edge is crust that goes deeper than elsewhere
  const edge = (index: number) => face.at[index] === 1 && depth.at[index]! <= crust + 2;
  const edges = face.at.reduce((sum, _, index) => sum + (edge(index) ? 1 : 0), 0);
  for (const piece of pieces(trimmed, leastPoints(heightPx)))
    if (piece.reduce((sum, index) => sum + (edge(index) ? 1 : 0), 0) > MOST_OF_EDGE * edges)
      for (const index of piece) [face.at[index], trimmed.at[index]] = [0, 0];
  for (const piece of pieces(trimmed, leastPoints(heightPx)))
    if (isHole(piece, { bright, colour, least, width: slice.width }))
      for (const index of piece) at[index] = 1;
  return { face, holes: withoutIslands({ ...slice, at }, face, heightPx) };
}

/** Dark along the edge and so many times as long as deep: crust that is thicker there. A hole that was cut at the edge is rounder. */
const LONG_BAND = 6;

/**
 * Where the crust is thicker than on the whole, also where holes touch it from within: from the edge inwards, until less than half of what was dark at
 * the edge still is.
 */
function thickerCrust(dark: Mask, depth: Field, crust: number, heightPx: number): number[] {
  const layerOf = (index: number) => Math.ceil(depth.at[index]! - crust) - 1;
  const most = Math.ceil(DEEPEST_CRUST * heightPx);
  return pieces(dark).flatMap((piece) => {
    const layers = new Array<number>(most).fill(0);
    for (const index of piece) if (layerOf(index) < most) layers[layerOf(index)]! += 1;
    const outer = layers[0]!;
    const thick = layers.findIndex((count) => count < outer / 2);
    return thick > 0 && outer > LONG_BAND * thick ? [...piece.filter((index) => layerOf(index) < thick)] : [];
  });
}

/** Half a per cent of the height across, and never less than some points: smaller ones nobody can tell from grain. */
export const leastPoints = (heightPx: number): number => Math.max(5, Math.PI * (0.0035 * heightPx) ** 2);

/** What is left of the camera's noise after smoothing, as a share of the crumb's brightness: by what the smoothing took away. */
function noiseOf(light: Field, soft: Field, level: Field, face: Mask): number {
  const took = light.at.map((value, index) => Math.abs(value - soft.at[index]!) / level.at[index]!);
  // of a Gaussian the median of its absolutes is 0.6745 σ; [1 2 1]² takes away 0.80 of white noise and leaves 0.375
  return ((levelOf(took, face, 0.5) / 0.6745) * 0.375) / 0.8;
}

interface Colours {
  /** Of each point, how far its colour is from the crumb's. */
  readonly off: Float32Array;
  readonly usual: number;
}

function coloursOf(red: Field, blue: Field, face: Mask, dark: Mask): Colours {
  const [r, b] = [softened(red), softened(blue)];
  // colours shift a little as a hole gets darker; what the holes of this picture are among themselves is usual
  const of = dark.at.some((is) => is === 1) ? dark : face;
  const [usualR, usualB] = [levelOf(r.at, of, 0.5), levelOf(b.at, of, 0.5)];
  const off = new Float32Array(r.at.length);
  for (let index = 0; index < off.length; index++)
    if (face.at[index]) off[index] = Math.sqrt((r.at[index]! - usualR) ** 2 + (b.at[index]! - usualB) ** 2);
  return { off, usual: levelOf(off, of, 0.5) };
}

function isHole(
  piece: Int32Array,
  { bright, colour, least, width }: { bright: Float32Array; colour: Colours; least: number; width: number },
): boolean {
  const values = Float32Array.from(piece, (index) => bright[index]!).sort();
  const offs = Float32Array.from(piece, (index) => colour.off[index]!).sort();
  const lowest = 1 - values[Math.floor(0.1 * values.length)]!;
  if (lowest < 1.25 * least) return false;
  const off = offs[Math.floor(offs.length / 2)]!;
  if (off > Math.max(0.16, 3.5 * colour.usual)) return false;
  // a smear of the knife: long, thin and shallow
  const { long, thick } = spans(piece, width);
  return !(long > 7 * thick && lowest < 0.24);
}

/** Standard deviations of a piece along and across its longer way. */
function spans(piece: Int32Array, width: number): { long: number; thick: number } {
  let [mx, my] = [0, 0];
  for (const index of piece) [mx, my] = [mx + (index % width), my + Math.floor(index / width)];
  [mx, my] = [mx / piece.length, my / piece.length];
  let [xx, xy, yy] = [1 / 12, 0, 1 / 12];
  for (const index of piece) {
    const [dx, dy] = [(index % width) - mx, Math.floor(index / width) - my];
    [xx, xy, yy] = [
      xx + (dx * dx) / piece.length,
      xy + (dx * dy) / piece.length,
      yy + (dy * dy) / piece.length,
    ];
  }
  const [half, root] = [(xx + yy) / 2, Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy)];
  return { long: Math.sqrt(half + root), thick: Math.sqrt(Math.max(1e-9, half - root)) };
}

/** A bright spot within one hole, a wet wall that shines, is part of it: what is not open, small, and nowhere at the face's edge. */
function withoutIslands(holes: Mask, face: Mask, heightPx: number): Mask {
  const closed = new Uint8Array(holes.at.length);
  for (let index = 0; index < closed.length; index++)
    closed[index] = face.at[index] && !holes.at[index] ? 1 : 0;
  const at = Uint8Array.from(holes.at);
  const most = Math.PI * (0.015 * heightPx) ** 2;
  for (const island of pieces({ ...holes, at: closed })) {
    if (island.length > most) continue;
    const isWithin = island.every((index) =>
      [-1, 1, -holes.width, holes.width].every((step) => face.at[index + step]),
    );
    if (isWithin) for (const index of island) at[index] = 1;
  }
  return { ...holes, at };
}
