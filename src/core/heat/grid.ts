/**
 * A body as finite volumes: cells joined by faces, and boundary faces on its sides. Any shape is this list; the stepper knows
 * no geometry. Lengths in m, areas in m², volumes in m³ of the modelled part (a symmetric half counts once).
 */
export interface Grid {
  /** How it grows: a tin's bar, a round block, a slab, a rod seen along its radius, a ball. */
  readonly form: 'bar' | 'round' | 'slab' | 'rod' | 'ball';
  readonly cells: number;
  readonly volume: Float64Array;
  /** Inner faces: the cells on both sides, the face's area, and each cell's way from its centre to the face. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly area: Float64Array;
  readonly wayFrom: Float64Array;
  readonly wayTo: Float64Array;
  /** 1: the face lies level, heat through it goes up or down. */
  readonly upright: Uint8Array;
  /** The cell over each, and under it; -1: none. */
  readonly above: Int32Array;
  readonly below: Int32Array;
  /** Boundary faces: cell, side, area, way from the centre. */
  readonly edge: Int32Array;
  readonly side: Int32Array;
  readonly edgeArea: Float64Array;
  readonly edgeWay: Float64Array;
  /** The cell that stands for the middle. */
  readonly core: number;
  /** The whole piece over the modelled part. */
  readonly times: number;
}

/** Sides of a piece. */
export const SIDES = ['top', 'side', 'base'] as const;
export type Side = (typeof SIDES)[number];
const sideIndex = (side: Side): number => SIDES.indexOf(side);

/**
 * Widths of cells across a thickness, finest at the given ends: the crust is a few mm, the crumb is smooth. Each cell is `grow` times
 * its neighbour; their count is the one that brings the finest nearest to what was asked.
 * @returns widths that sum to `length`, m
 */
export function graded(
  length: number,
  finest: number,
  ends: 'first' | 'last' | 'both',
  grow = 1.45,
): number[] {
  if (ends === 'both') {
    const half = graded(length / 2, finest, 'last', grow);
    return [...[...half].reverse(), ...half];
  }
  const sum = (count: number) => (finest * (grow ** count - 1)) / (grow - 1);
  let count = 3;
  while (sum(count + 1) < length) count += 1;
  // one more, if that scales less
  if (sum(count + 1) / length < length / sum(count)) count += 1;
  const scale = length / sum(count);
  const widths = Array.from({ length: count }, (_, index) => finest * scale * grow ** index);
  return ends === 'last' ? widths.reverse() : widths;
}

/**
 * Puts cells together from the given ends inwards until each is as wide as asked: what cools slowly needs no fine skin.
 * @returns of each cell the group it falls into, 0 ... in order; two groups at least on the way from an end to the middle
 */
export function together(widths: readonly number[], atLeastM: number, ends: 'last' | 'both'): number[] {
  const n = widths.length;
  if (n < 2) return widths.map(() => 0);
  if (ends === 'both') {
    const half = together(widths.slice(Math.ceil(n / 2)), atLeastM, 'last');
    const groups = half[half.length - 1]! + 1;
    const upper = half.map((group) => group + groups);
    const lower = [...half].reverse().map((group) => groups - 1 - group);
    return n % 2 === 0 ? [...lower, ...upper] : [...lower, groups, ...upper.map((group) => group + 1)];
  }
  // counted from the skin, then turned round
  const fromSkin: number[] = [];
  let group = 0;
  let wide = 0;
  for (let cell = n - 1; cell >= 0; cell -= 1) {
    if (wide >= atLeastM) {
      group += 1;
      wide = 0;
    }
    fromSkin.push(group);
    wide += widths[cell]!;
  }
  // what is left in the middle and too thin goes to its neighbour
  const last = wide < atLeastM && group > 1 ? group - 1 : group;
  return fromSkin.reverse().map((each) => last - Math.min(each, last));
}

/** The widths of those groups. */
export function grouped(widths: readonly number[], groups: readonly number[]): number[] {
  const sums: number[] = [];
  widths.forEach((width, cell) => {
    sums[groups[cell]!] = (sums[groups[cell]!] ?? 0) + width;
  });
  return sums;
}

interface Building {
  volume: number[];
  from: number[];
  to: number[];
  area: number[];
  wayFrom: number[];
  wayTo: number[];
  upright: number[];
  edge: number[];
  side: number[];
  edgeArea: number[];
  edgeWay: number[];
}
const building = (): Building => ({
  volume: [], from: [], to: [], area: [], wayFrom: [], wayTo: [], upright: [], edge: [], side: [], edgeArea: [], edgeWay: [],
}); // prettier-ignore

/** Of each cell the one over it, or under it. */
function neighbours(b: Building, over: boolean): Int32Array {
  const found = new Int32Array(b.volume.length).fill(-1);
  b.upright.forEach((upright, face) => {
    const [low, high] = [b.from[face]!, b.to[face]!];
    if (upright === 1) found[over ? low : high] = over ? high : low;
  });
  return found;
}

const built = (form: Grid['form'], b: Building, core: number, times: number): Grid => ({
  form,
  above: neighbours(b, true),
  below: neighbours(b, false),
  cells: b.volume.length,
  volume: Float64Array.from(b.volume),
  from: Int32Array.from(b.from),
  to: Int32Array.from(b.to),
  area: Float64Array.from(b.area),
  wayFrom: Float64Array.from(b.wayFrom),
  wayTo: Float64Array.from(b.wayTo),
  upright: Uint8Array.from(b.upright),
  edge: Int32Array.from(b.edge),
  side: Int32Array.from(b.side),
  edgeArea: Float64Array.from(b.edgeArea),
  edgeWay: Float64Array.from(b.edgeWay),
  core,
  times,
});

function bound(b: Building, cell: number, side: Side, area: number, way: number): void {
  b.edge.push(cell);
  b.side.push(sideIndex(side));
  b.edgeArea.push(area);
  b.edgeWay.push(way);
}

/** Edges of the cells: 0, w0, w0 + w1 ... */
function edges(widths: readonly number[]): number[] {
  const at = [0];
  for (const width of widths) at.push(at[at.length - 1]! + width);
  return at;
}

/**
 * A rectangle of x from the axis outwards (half a tin's width, or a radius) by z from the base upwards. `round`: cells are rings
 * round the axis; otherwise a bar of `lengthM`, of which half is modelled.
 *
 * @param times how often the modelled part makes the whole
 */
export function block(
  acrossM: readonly number[],
  upM: readonly number[],
  shape: { readonly round: true } | { readonly round: false; readonly lengthM: number },
): Grid {
  const b = building();
  const x = edges(acrossM);
  const z = edges(upM);
  const nx = acrossM.length;
  const nz = upM.length;
  const deep = shape.round ? 0 : shape.lengthM;
  const ground = (i: number) =>
    shape.round ? Math.PI * (x[i + 1]! ** 2 - x[i]! ** 2) : (x[i + 1]! - x[i]!) * deep;
  const wall = (i: number, j: number) => (shape.round ? 2 * Math.PI * x[i]! : deep) * upM[j]!;
  for (let j = 0; j < nz; j += 1) {
    for (let i = 0; i < nx; i += 1) {
      const cell = j * nx + i;
      b.volume.push(ground(i) * upM[j]!);
      if (i + 1 < nx) {
        b.from.push(cell);
        b.to.push(cell + 1);
        b.area.push(wall(i + 1, j));
        b.wayFrom.push(acrossM[i]! / 2);
        b.wayTo.push(acrossM[i + 1]! / 2);
        b.upright.push(0);
      } else bound(b, cell, 'side', wall(nx, j), acrossM[i]! / 2);
      if (j + 1 < nz) {
        b.from.push(cell);
        b.to.push(cell + nx);
        b.area.push(ground(i));
        b.wayFrom.push(upM[j]! / 2);
        b.wayTo.push(upM[j + 1]! / 2);
        b.upright.push(1);
      } else bound(b, cell, 'top', ground(i), upM[j]! / 2);
      if (j === 0) bound(b, cell, 'base', ground(i), upM[0]! / 2);
    }
  }
  // the axis at half height: where heat comes last in most loaves
  let middle = 0;
  while (middle + 1 < nz && z[middle + 1]! < z[nz]! / 2) middle += 1;
  return built(shape.round ? 'round' : 'bar', b, middle * nx, shape.round ? 1 : 2);
}

/** A slab seen edge on, per area: discs, flatbreads, crackers; their rim is small. */
export function slab(upM: readonly number[], areaM2: number): Grid {
  const b = building();
  upM.forEach((width, j) => {
    b.volume.push(width * areaM2);
    if (j + 1 < upM.length) {
      b.from.push(j);
      b.to.push(j + 1);
      b.area.push(areaM2);
      b.wayFrom.push(width / 2);
      b.wayTo.push(upM[j + 1]! / 2);
      b.upright.push(1);
    } else bound(b, j, 'top', areaM2, width / 2);
    if (j === 0) bound(b, j, 'base', areaM2, width / 2);
  });
  const z = edges(upM);
  let middle = 0;
  while (middle + 1 < upM.length && z[middle + 1]! < z[upM.length]! / 2) middle += 1;
  return built('slab', b, middle, 1);
}

/**
 * A bar or ring of round section, or a ball, seen along its radius from the axis or centre outwards. A share of its skin is the base
 * that touches what it lies on; the section stays round in the model.
 */
export function radial(
  outM: readonly number[],
  shape: { readonly ball: true } | { readonly ball: false; readonly lengthM: number },
  baseShare: number,
): Grid {
  const b = building();
  const r = edges(outM);
  const wall = (radius: number) =>
    shape.ball ? 4 * Math.PI * radius * radius : 2 * Math.PI * radius * shape.lengthM;
  const inside = (radius: number) =>
    shape.ball ? (4 / 3) * Math.PI * radius ** 3 : Math.PI * radius * radius * shape.lengthM;
  outM.forEach((width, i) => {
    b.volume.push(inside(r[i + 1]!) - inside(r[i]!));
    if (i + 1 < outM.length) {
      b.from.push(i);
      b.to.push(i + 1);
      b.area.push(wall(r[i + 1]!));
      b.wayFrom.push(width / 2);
      b.wayTo.push(outM[i + 1]! / 2);
      b.upright.push(0);
    } else {
      const skin = wall(r[i + 1]!);
      bound(b, i, 'top', skin * (1 - baseShare), width / 2);
      if (baseShare > 0) bound(b, i, 'base', skin * baseShare, width / 2);
    }
  });
  return built(shape.ball ? 'ball' : 'rod', b, 0, 1);
}
