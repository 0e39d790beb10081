import { seededRandom } from '../numeric/seededRandom';
import type { Picture } from './raster';

/**
 * Made-up photographs of cut bread with what is true of them, for tests. Shares nothing with the drawn slice (core/slice) or the reader:
 * every point of a picture is asked what is there (board, crust, crumb, hole, seed), and then lit, blurred and spoilt as a camera would.
 */
export const FAMILIES = [
  'plain', 'knife', 'wet', 'seeds', 'board', 'falloff', 'tilt', 'noise', 'dark', 'line',
] as const; // prettier-ignore
export type Family = (typeof FAMILIES)[number];

export interface TestSlice {
  readonly picture: Picture;
  readonly truth: {
    /** Of the face within the crust, %. */
    readonly porosityPercent: number;
    /** Holes of at least 0.9 % of the slice's height across. */
    readonly holes: number;
    readonly heightToWidth: number;
    /** The longest hole, % of the width. */
    readonly tunnelPercent: number;
    readonly denseLinePercent: number;
  };
}

interface Hole {
  readonly x: number;
  readonly y: number;
  /** Half axes, and which way the longer lies. */
  readonly a: number;
  readonly b: number;
  readonly turn: number;
  readonly wobble: readonly [number, number, number];
  readonly depth: number;
}

type Rgb = readonly [number, number, number];

const mix = (from: Rgb, to: Rgb, share: number): Rgb => [
  from[0] + (to[0] - from[0]) * share,
  from[1] + (to[1] - from[1]) * share,
  from[2] + (to[2] - from[2]) * share,
];

const BOARDS: readonly Rgb[] = [
  [236, 233, 228],
  [52, 58, 64],
  [122, 92, 62],
];
const COLOURED: readonly Rgb[] = [
  [62, 108, 150],
  [150, 62, 58],
  [70, 128, 84],
  [214, 196, 60],
];

/** Smooth noise over the plane: values at the corners of a grid, eased between. */
function cloud(random: () => number, cells: number): (x: number, y: number) => number {
  const at = Array.from({ length: (cells + 2) * (cells + 2) }, () => 2 * random() - 1);
  const ease = (t: number) => t * t * (3 - 2 * t);
  return (x, y) => {
    const [gx, gy] = [Math.max(0, Math.min(cells, x * cells)), Math.max(0, Math.min(cells, y * cells))];
    const [ix, iy] = [Math.floor(gx), Math.floor(gy)];
    const [fx, fy] = [ease(gx - ix), ease(gy - iy)];
    const v = (dx: number, dy: number) => at[(iy + dy) * (cells + 2) + ix + dx]!;
    return (v(0, 0) * (1 - fx) + v(1, 0) * fx) * (1 - fy) + (v(0, 1) * (1 - fx) + v(1, 1) * fx) * fy;
  };
}

/** How far inside the slice a place is, in heights of the slice; below zero it is outside. Its base lies along y = 0, up is y > 0. */
type Shape = (x: number, y: number) => number;

function shapeOf(kind: 'tin' | 'hearth' | 'flat', aspect: number, random: () => number): Shape {
  const dome = 0.06 + 0.1 * random();
  const half = 0.5 / aspect;
  const ripple = cloud(random, 5);
  return (x, y) => {
    const u = x / half;
    if (kind === 'tin') {
      const roof = 1 - dome * u * u - 0.02 * ripple(0.5 + 0.5 * u, 0.2);
      const corner = 0.07;
      const [dx, dy] = [half - Math.abs(x), Math.min(y, roof - y)];
      return dx < corner && dy < corner ? corner - Math.hypot(corner - dx, corner - dy) : Math.min(dx, dy);
    }
    const power = kind === 'hearth' ? 2.1 : 3.2;
    const rim = 1 - Math.abs(u) ** power;
    if (rim <= 0) return -Math.abs(Math.abs(u) - 1) * half;
    const roof = rim ** (1 / power) * (1 + 0.03 * ripple(0.5 + 0.5 * u, 0.7));
    const belly = 0.1 * Math.abs(u) ** 4;
    return Math.min(y - belly, roof - y, 2 * half * (1 - Math.abs(u)));
  };
}

const radiusToward = ({ a, b, wobble }: Hole, angle: number): number => {
  const round = (a * b) / Math.hypot(b * Math.cos(angle), a * Math.sin(angle));
  return (
    round *
    (1 + wobble[0] * Math.cos(2 * angle + 1) + wobble[1] * Math.cos(3 * angle) + wobble[2] * Math.sin(5 * angle))
  );
}; // prettier-ignore

/** How far a place is within a hole: 1 at its middle, 0 at its edge, below that outside. */
function within(hole: Hole, x: number, y: number): number {
  const [dx, dy] = [x - hole.x, y - hole.y];
  const reach = 1.5 * Math.max(hole.a, hole.b);
  if (Math.abs(dx) > reach || Math.abs(dy) > reach) return -1;
  const far = Math.hypot(dx, dy);
  return 1 - far / Math.max(1e-6, radiusToward(hole, Math.atan2(dy, dx) - hole.turn));
}

function holesIn(shape: Shape, crust: number, half: number, family: Family, random: () => number): Hole[] {
  const wanted = 0.06 + 0.34 * random();
  const middle = 0.011 + 0.022 * random();
  const spread = 0.35 + 0.35 * random();
  const line = family === 'line' ? 0.05 + 0.13 * random() : 0;
  const holes: Hole[] = [];
  let area = 0;
  const face = 2 * half * 0.85;
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  for (let tries = 0; tries < 9000 && area < wanted * face; tries++) {
    const big = family === 'line' && holes.length === 0;
    const size = big ? 0.05 + 0.05 * random() : Math.min(0.075, middle * Math.exp(spread * normal()));
    const long = big ? 2.5 + 2 * random() : 1 + 0.7 * random() ** 2;
    const hole: Hole = {
      x: (2 * random() - 1) * half,
      y: random(),
      a: size * Math.sqrt(long),
      b: size / Math.sqrt(long),
      turn: big ? 0.2 * normal() : Math.PI * random(),
      wobble: [0.09 * normal(), 0.06 * normal(), 0.04 * normal()],
      depth: 0.24 + 0.36 * random() ** 0.8 + Math.min(0.15, 1.5 * size),
    };
    const reach = hole.a * 1.12;
    if (shape(hole.x, hole.y) < crust + reach + 0.008 || hole.y < crust + line + reach) continue;
    if (holes.some((other) => Math.hypot(other.x - hole.x, other.y - hole.y) < (other.a + hole.a) * 1.04 + 0.007)) continue;
    holes.push(hole);
    area += Math.PI * hole.a * hole.b;
  }
  return holes;
} // prettier-ignore

/** What lies on a board. */
function breadOf(family: Family, random: () => number) {
  const kind = (['tin', 'hearth', 'flat'] as const)[Math.floor(3 * random())]!;
  const aspect = kind === 'tin' ? 0.8 + 0.35 * random() : kind === 'hearth' ? 0.5 + 0.2 * random() : 0.3 + 0.1 * random();
  const half = 0.5 / aspect;
  const shape = shapeOf(kind, aspect, random);
  const crust = 0.018 + 0.02 * random();
  const holes = holesIn(shape, crust, half, family, random);
  const crumbRgb: Rgb =
    family === 'dark' ? mix([92, 66, 48], [126, 92, 66], random()) : mix([216, 190, 148], [232, 214, 182], random());
  const crustRgb = mix(crumbRgb, [88, 48, 20], 0.75);
  const board = (family === 'board' ? COLOURED[Math.floor(4 * random())] : family === 'dark' ? BOARDS[0] : BOARDS[Math.floor(3 * random())])!;
  const texture = cloud(random, 46);
  const broad = cloud(random, 5);
  return { shape, half, crust, holes, crumbRgb, crustRgb, board, texture, broad };
} // prettier-ignore

/** The same with what comes over it, to be asked place by place. */
function seenOn(bread: ReturnType<typeof breadOf>, family: Family, lightAngle: number, random: () => number) {
  const { shape, half, crust, holes, crumbRgb, crustRgb, board, texture, broad } = bread;
  const seeds = family === 'seeds'
    ? Array.from({ length: 8 + Math.floor(16 * random()) }, () => ({
        x: (2 * random() - 1) * half * 0.9, y: 0.06 + 0.88 * random(), a: 0.016 + 0.012 * random(), b: 0.008 + 0.006 * random(), turn: Math.PI * random(),
        rgb: ([[70, 84, 52], [224, 206, 160], [60, 54, 58], [120, 76, 40]] as const)[Math.floor(4 * random())]!,
      })).filter((seed) => holes.every((hole) => Math.hypot(hole.x - seed.x, hole.y - seed.y) > hole.a * 1.2 + seed.a + 0.012))
    : [];
  const drags = family === 'knife'
    ? Array.from({ length: 10 + Math.floor(10 * random()) }, () => ({ y: random(), x: (2 * random() - 1) * half, long: 0.1 + 0.35 * random(), thick: 0.003 + 0.004 * random(), dark: 0.05 + 0.08 * random(), slope: 0.1 * (random() - 0.5) }))
    : [];
  const shines = family === 'wet'
    ? Array.from({ length: 14 + Math.floor(20 * random()) }, () => ({ x: (2 * random() - 1) * half * 0.95, y: random(), r: 0.004 + 0.014 * random(), bright: 0.15 + 0.4 * random() }))
    : [];

  // holes by the squares they may reach
  const square = 0.05;
  const squares = new Map<number, Hole[]>();
  const squareAt = (x: number, y: number) => Math.floor((x + 4) / square) * 1000 + Math.floor((y + 1) / square);
  for (const each of holes) {
    const reach = 1.5 * each.a;
    const keys = new Set<number>();
    for (let x = each.x - reach; x <= each.x + reach + square; x += square)
      for (let y = each.y - reach; y <= each.y + reach + square; y += square) keys.add(squareAt(x, y));
    for (const key of keys) squares.set(key, [...(squares.get(key) ?? []), each]);
  }
  const none: readonly Hole[] = [];
  const near = (x: number, y: number): readonly Hole[] => squares.get(squareAt(x, y)) ?? none;

  /** What is seen at a place of the slice: its colour before the light, and whether it counts. */
  const seenAt = (x: number, y: number): { rgb: Rgb; face: boolean; hole: boolean } => {
    const inside = shape(x, y);
    if (inside <= 0) {
      // a soft shadow beside the slice
      const shade = Math.max(0, 1 + inside / 0.03) * 0.12;
      return { rgb: mix(board, [0, 0, 0], shade), face: false, hole: false };
    }
    const [u, v] = [0.5 + x / (2.2 * half), 0.02 + 0.96 * y];
    const grain = 1 + 0.035 * texture(u, v) + 0.03 * broad(u, v);
    const rim = Math.max(0, 1 - inside / crust);
    let rgb = mix(crumbRgb, crustRgb, Math.min(1, 1.4 * rim));
    rgb = [rgb[0] * grain, rgb[1] * grain, rgb[2] * grain];
    const face = inside > crust;
    let hole = false;
    for (const each of near(x, y)) {
      const deep = within(each, x, y);
      if (deep <= 0) continue;
      hole = true;
      // walls go down quickly; the side towards the light is darker
      const wall = Math.min(1, deep / 0.22);
      const side = 0.12 * ((x - each.x) * Math.cos(lightAngle) + (y - each.y) * Math.sin(lightAngle)) / each.a;
      const dark = each.depth * (0.35 + 0.65 * wall) * (1 + side);
      rgb = [rgb[0] * (1 - dark), rgb[1] * (1 - dark * 1.03), rgb[2] * (1 - dark * 1.08)];
    }
    for (const each of seeds) {
      const [dx, dy] = [x - each.x, y - each.y];
      const [p, q] = [(dx * Math.cos(each.turn) + dy * Math.sin(each.turn)) / each.a, (dy * Math.cos(each.turn) - dx * Math.sin(each.turn)) / each.b];
      if (inside > crust && p * p + q * q < 1) rgb = mix(each.rgb, [255, 255, 255], 0.15 * Math.max(0, 1 - p * p - q * q));
    }
    for (const each of drags) {
      const [dx, dy] = [x - each.x, y - each.y - each.slope * (x - each.x)];
      if (Math.abs(dx) < each.long && Math.abs(dy) < each.thick) {
        const dim = 1 - each.dark * (1 - Math.abs(dx) / each.long);
        rgb = [rgb[0] * dim, rgb[1] * dim, rgb[2] * dim];
      }
    }
    for (const each of shines) {
      const far = Math.hypot(x - each.x, y - each.y) / each.r;
      if (far < 1) rgb = mix(rgb, [255, 255, 255], each.bright * (1 - far * far));
    }
    return { rgb, face, hole };
  };
  return seenAt;
} // prettier-ignore

/**
 * A photograph of one family.
 *
 * @param widthPx of the picture; its height is three quarters of that
 */
export function testSlice(family: Family, seed: number, widthPx = 720): TestSlice {
  const random = seededRandom(seed * 7919 + FAMILIES.indexOf(family) * 104_729 + 17);
  const [w, h] = [widthPx, Math.round(widthPx * 0.75)];
  const bread = breadOf(family, random);
  const { shape, half, crust, holes } = bread;
  const fill = 0.62 + 0.26 * random();
  // points for one height of the slice
  const scale = Math.min((h * fill), (w * fill) / (2 * half));
  const turn = family === 'tilt' ? (random() - 0.5) * 0.4 : (random() - 0.5) * 0.06;
  const squeeze = family === 'tilt' ? (random() - 0.5) * 0.1 : 0;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const light = { angle: 2 * Math.PI * random(), fall: family === 'falloff' ? 0.35 + 0.3 * random() : 0.08 * random() };
  const warm: Rgb = [1 + 0.05 * (random() - 0.5), 1, 1 + 0.12 * (random() - 0.5)];
  const seenAt = seenOn(bread, family, light.angle, random);

  // four looks for each point: edges are soft, and true areas are counted by the same looks
  const flat = new Float32Array(3 * w * h);
  let [faces, open] = [0, 0];
  const baseY = h / 2 + scale / 2;
  for (let py = 0; py < h; py++)
    for (let px = 0; px < w; px++)
      for (const [ox, oy] of [[0.25, 0.25], [0.75, 0.25], [0.25, 0.75], [0.75, 0.75]] as const) {
        const [dx, dy] = [px + ox - w / 2, py + oy - h / 2];
        const pinch = 1 + (squeeze * dy) / h;
        const [rx, ry] = [(dx * cos + dy * sin) * pinch, dy * cos - dx * sin];
        const seen = seenAt(rx / scale, (baseY - h / 2 - ry) / scale);
        if (seen.face) faces += 1;
        if (seen.face && seen.hole) open += 1;
        for (let c = 0; c < 3; c++) flat[3 * (py * w + px) + c]! += seen.rgb[c]! / 4;
      }
  const sigma = family === 'noise' ? 9 + 7 * random() : 1.5 + 2 * random();
  const blurred = soft(flat, w, h, 0.7 + 0.6 * random());
  const rgba = new Uint8ClampedArray(4 * w * h);
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  for (let index = 0; index < w * h; index++) {
    const [px, py] = [(index % w) / w - 0.5, Math.floor(index / w) / h - 0.5];
    const along = px * Math.cos(light.angle) + py * Math.sin(light.angle);
    const lit = 1 - light.fall * (0.5 + along) - 0.12 * light.fall * (px * px + py * py) * 4;
    const grey = sigma * 0.7 * gauss();
    for (let c = 0; c < 3; c++)
      rgba[4 * index + c] = blurred[3 * index + c]! * lit * warm[c]! + grey + sigma * 0.5 * gauss();
    rgba[4 * index + 3] = 255;
  }
  const line = holes.reduce((least, { y, b }) => Math.min(least, y - b), 1);
  return {
    picture: { width: w, height: h, rgba },
    truth: {
      porosityPercent: (100 * open) / faces,
      holes: holes.filter(({ a, b }) => 2 * Math.sqrt(a * b) >= 0.009).length,
      heightToWidth: heightOf(shape, half) / (2 * half),
      tunnelPercent: (100 * Math.max(0, ...holes.map(({ a }) => 2 * a))) / (2 * half),
      denseLinePercent: 100 * Math.max(0, line - crust),
    },
  };
} // prettier-ignore

function heightOf(shape: Shape, half: number): number {
  let top = 0;
  for (let y = 0.5; y < 1.3; y += 0.002)
    for (let x = -half; x <= half; x += half / 20) if (shape(x, y) > 0) top = y;
  return top;
}

/** A lens that is not quite sharp: a Gaussian, in points. */
function soft(from: Float32Array, w: number, h: number, sigma: number): Float32Array {
  const reach = Math.ceil(2.5 * sigma);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma * sigma)));
  const sum = weights.reduce((a, b) => a + b, 0);
  const pass = (source: Float32Array, dx: number, dy: number): Float32Array => {
    const out = new Float32Array(source.length);
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++)
        for (let k = -reach; k <= reach; k++) {
          const [sx, sy] = [Math.min(w - 1, Math.max(0, x + k * dx)), Math.min(h - 1, Math.max(0, y + k * dy))];
          const weight = weights[k + reach]! / sum;
          for (let c = 0; c < 3; c++) out[3 * (y * w + x) + c]! += weight * source[3 * (sy * w + sx) + c]!;
        }
    return out;
  };
  return pass(pass(from, 1, 0), 0, 1);
} // prettier-ignore
