import { normalAbove } from '../numeric/draws';
import { seededRandom } from '../numeric/seededRandom';
import { poreSpread } from './reading';
import type { SliceFigures } from './slice';

interface Pore {
  readonly x: number;
  readonly y: number;
  /** Half axes, mm, and how far it leans, degrees. */
  readonly rx: number;
  readonly ry: number;
  readonly turn: number;
}

/** A drawing in mm, y downwards, its box from (0, 0) to (width, height). */
export interface SliceDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  /** The crust's outer edge, and the crumb inside it, as closed polygons. */
  readonly outline: readonly (readonly [number, number])[];
  readonly crumb: readonly (readonly [number, number])[];
  /** The hole of a ring's two cut ends lies between them: they are drawn as two outlines. */
  readonly pores: readonly Pore[];
  /** Top edge of the damp streak, mm from the top; null: none. */
  readonly streakFromMm: number | null;
  /** Only so much of a wide flat piece is shown; 1: all of it. */
  readonly shownShare: number;
}

/** FNV-1a over what the figures say to three places: the same prediction always draws the same section. */
function seedOf(figures: SliceFigures): number {
  const text = JSON.stringify(figures, (_, value: unknown) =>
    typeof value === 'number' ? value.toPrecision(3) : value,
  );
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index += 1) {
    hash = Math.imul(hash ^ text.charCodeAt(index), 0x01000193) >>> 0;
  }
  return hash;
}

/** Upper edge over x from -1 to 1, share of the height above the shoulders: superellipse domes, a sunk top dips. */
function crownAt(x: number, crown: number): number {
  return crown * Math.max(0, 1 - Math.abs(x) ** 2.4);
}

/** The section's edge drawn in by so much, mm. */
function section(figures: SliceFigures, shownMm: number, inMm: number, boxTopMm: number): [number, number][] {
  const { shape, heightMm, crown } = figures;
  const points: [number, number][] = [];
  const half = shownMm / 2;
  const cut = shownMm < figures.widthMm - 1e-6;
  if (shape === 'ring' || shape === 'ball' || shape === 'baguette') {
    const radius = Math.max(0.5, figures.widthMm / 2 - inMm);
    for (let step = 0; step < 72; step += 1) {
      const angle = (step / 72) * 2 * Math.PI;
      // it lies on its base: a little flattened there
      const y = Math.min(Math.sin(angle), 0.9);
      points.push([half + radius * Math.cos(angle), boxTopMm + figures.heightMm / 2 + radius * y]);
    }
    return points;
  }
  // a tin's wall goes straight up; a free piece rounds in towards its base and shoulders
  const round = shape === 'tin' ? 0.08 : cut ? 0 : 0.42;
  const side = cut ? half : half - inMm;
  const base = boxTopMm + heightMm - inMm;
  const shoulder = (x: number) => {
    const edge = Math.abs(x) > 1 - round && round > 0 ? (Math.abs(x) - (1 - round)) / round : 0;
    return (1 - Math.sqrt(Math.max(0, 1 - edge * edge))) * (shape === 'tin' ? 0.25 : 0.62);
  };
  const steps = 48;
  for (let step = 0; step <= steps; step += 1) {
    const x = -1 + (2 * step) / steps;
    const top = boxTopMm + inMm - crownAt(x, crown) * heightMm + shoulder(x) * heightMm;
    points.push([half + x * side, Math.min(base - 0.2, top)]);
  }
  for (let step = steps; step >= 0; step -= 1) {
    const x = -1 + (2 * step) / steps;
    const edge = Math.abs(x) > 1 - round && round > 0 ? (Math.abs(x) - (1 - round)) / round : 0;
    const lift = (1 - Math.sqrt(Math.max(0, 1 - edge * edge))) * (shape === 'tin' ? 0.05 : 0.3) * heightMm;
    points.push([half + x * side, base - lift]);
  }
  return points;
}

function isInside(points: readonly (readonly [number, number])[], x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = points.length - 1; i < points.length; j = i, i += 1) {
    const [xi, yi] = points[i]!;
    const [xj, yj] = points[j]!;
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

/**
 * Draws a section: pores thrown without overlap, their sizes lognormal round the mean with a spread from the evenness, until they
 * cover what a cut shows of the gas. Seeded by the figures.
 *
 * @param mostPores a list's mark makes do with few, a slice shows up to some hundreds
 */
export function drawSlice(figures: SliceFigures, mostPores = 520): SliceDrawing {
  const random = seededRandom(seedOf(figures));
  // a flat piece as wide as a plate is shown as a piece of itself, eight times as wide as high
  const shownMm = Math.min(figures.widthMm, Math.max(8 * figures.heightMm, 60));
  const rise = Math.max(0, figures.crown) * figures.heightMm;
  const heightMm = figures.heightMm + rise;
  const outline = section(figures, shownMm, 0, rise);
  const crustMm = Math.min(figures.crustMm, 0.18 * figures.heightMm);
  const crumb = section(figures, shownMm, Math.max(0.6, crustMm), rise);
  const streakFromMm =
    figures.streak > 0.02 ? rise + figures.heightMm * (1 - figures.streak) - crustMm : null;
  // fewer pores than there are: then each stands for several, and is drawn as large as keeps the covered share
  const area = shownMm * figures.heightMm * 0.85;
  // drawn so that it looks as open as it is: with holes that only a lens tells
  const covered = Math.min(0.5, 1.38 * figures.seen);
  const poreArea = (Math.PI / 4) * figures.poreMm ** 2;
  const wanted = (covered * area) / poreArea;
  const enlarge = wanted > mostPores ? Math.sqrt(wanted / mostPores) : 1;
  const spread = poreSpread(figures.evenness);
  const pores: Pore[] = [];
  const target = Math.min(mostPores, Math.round(wanted));
  let tries = target * 14;
  let filled = 0;
  // coarse bins keep the search for neighbours short
  const bin = Math.max(2, 3 * figures.poreMm * enlarge);
  const bins = new Map<string, Pore[]>();
  while (pores.length < target && filled < covered * area && tries > 0) {
    tries -= 1;
    const size =
      figures.poreMm *
      enlarge *
      Math.exp(spread * normalAbove(0.02 + 0.96 * random()) - (spread * spread) / 2);
    const x = random() * shownMm;
    const y = random() * heightMm;
    const lean = random();
    const long = 1 + 0.5 * random();
    if (!isInside(crumb, x, y)) continue;
    if (streakFromMm !== null && y > streakFromMm) continue;
    // pores are smaller near the crust, which set before they could grow
    const deep = Math.min(
      1,
      (heightMm - y) / (0.25 * heightMm),
      0.35 + Math.abs(y - rise) / (0.25 * heightMm),
    );
    const rx = (size / 2) * Math.max(0.35, deep) * Math.sqrt(long);
    const ry = ((size / 2) * Math.max(0.35, deep)) / Math.sqrt(long);
    const reach = Math.max(rx, ry);
    if (
      !isInside(crumb, x, y + reach) ||
      !isInside(crumb, x, y - reach) ||
      !isInside(crumb, x - reach, y) ||
      !isInside(crumb, x + reach, y)
    )
      continue;
    const column = Math.floor(x / bin);
    const row = Math.floor(y / bin);
    let free = true;
    for (let c = column - 1; c <= column + 1 && free; c += 1) {
      for (let r = row - 1; r <= row + 1 && free; r += 1) {
        for (const other of bins.get(`${c} ${r}`) ?? []) {
          if (Math.hypot(other.x - x, other.y - y) < (Math.max(other.rx, other.ry) + reach) * 0.92 + 0.1) {
            free = false;
            break;
          }
        }
      }
    }
    if (!free) continue;
    const pore: Pore = { x, y, rx, ry, turn: Math.round((lean - 0.5) * 70) };
    pores.push(pore);
    filled += Math.PI * rx * ry;
    const key = `${column} ${row}`;
    bins.set(key, [...(bins.get(key) ?? []), pore]);
  }
  return {
    widthMm: shownMm,
    heightMm,
    outline,
    crumb,
    pores,
    streakFromMm,
    shownShare: shownMm / figures.widthMm,
  };
}
