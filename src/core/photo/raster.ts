/** A picture as plain numbers: red, green, blue, opacity for each point, row by row, 0 … 255. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray | Uint8Array;
}

/** One number for each point of a picture. */
export interface Field {
  readonly width: number;
  readonly height: number;
  readonly at: Float32Array;
}

/** A yes or no for each point. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly at: Uint8Array;
}

/**
 * Smaller by whole boxes of points, so that the longer side is at most `longerPx`; a picture that is smaller already stays. Means of light
 * are taken over whole boxes: no point is left out, whatever the factor.
 */
export function shrunk({ width, height, rgba }: Picture, longerPx: number): Picture {
  const factor = Math.max(width, height) / longerPx;
  if (factor <= 1) return { width, height, rgba };
  const [w, h] = [Math.max(1, Math.round(width / factor)), Math.max(1, Math.round(height / factor))];
  const small = new Uint8ClampedArray(4 * w * h);
  for (let y = 0; y < h; y++) {
    const [top, bottom] = [
      Math.floor((y * height) / h),
      Math.max(Math.floor(((y + 1) * height) / h), Math.floor((y * height) / h) + 1),
    ];
    for (let x = 0; x < w; x++) {
      const [left, right] = [
        Math.floor((x * width) / w),
        Math.max(Math.floor(((x + 1) * width) / w), Math.floor((x * width) / w) + 1),
      ];
      let [r, g, b] = [0, 0, 0];
      for (let row = top; row < bottom; row++)
        for (let from = 4 * (row * width + left), end = 4 * (row * width + right); from < end; from += 4) {
          r += rgba[from]!;
          g += rgba[from + 1]!;
          b += rgba[from + 2]!;
        }
      const count = (bottom - top) * (right - left);
      const to = 4 * (y * w + x);
      small[to] = r / count;
      small[to + 1] = g / count;
      small[to + 2] = b / count;
      small[to + 3] = 255;
    }
  }
  return { width: w, height: h, rgba: small };
}

/** Connected pieces of a mask (also over corners), largest first; each as the indices of its points. */
export function pieces({ width, height, at }: Mask, least = 1): Int32Array[] {
  const seen = new Uint8Array(at.length);
  const stack = new Int32Array(at.length);
  const found: Int32Array[] = [];
  for (let start = 0; start < at.length; start++) {
    if (!at[start] || seen[start]) continue;
    let [top, size] = [0, 0];
    const piece: number[] = [];
    stack[top++] = start;
    seen[start] = 1;
    while (top > 0) {
      const index = stack[--top]!;
      piece[size++] = index;
      const x = index % width;
      const y = (index - x) / width;
      for (let dy = y > 0 ? -1 : 0; dy <= (y < height - 1 ? 1 : 0); dy++)
        for (let dx = x > 0 ? -1 : 0; dx <= (x < width - 1 ? 1 : 0); dx++) {
          const next = index + dy * width + dx;
          if (!at[next] || seen[next]) continue;
          seen[next] = 1;
          stack[top++] = next;
        }
    }
    if (size >= least) found.push(Int32Array.from(piece));
  }
  return found.sort((a, b) => b.length - a.length);
}

export function maskOf(points: Int32Array, { width, height }: Pick<Mask, 'width' | 'height'>): Mask {
  const at = new Uint8Array(width * height);
  for (const index of points) at[index] = 1;
  return { width, height, at };
}

/** The mask with everything in it that the outside cannot reach. */
export function filled({ width, height, at }: Mask): Mask {
  const outside = new Uint8Array(at.length);
  const stack: number[] = [];
  const visit = (index: number): void => {
    if (at[index] || outside[index]) return;
    outside[index] = 1;
    stack.push(index);
  };
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(visit);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(visit);
  for (let index = stack.pop(); index !== undefined; index = stack.pop()) {
    const x = index % width;
    if (x > 0) visit(index - 1);
    if (x < width - 1) visit(index + 1);
    if (index >= width) visit(index - width);
    if (index < at.length - width) visit(index + width);
  }
  return { width, height, at: inverted(outside) };
}

/** How far each point of the mask is from its outside, in points, to some per cent (chamfer 3-4); beyond the picture's edge it goes on. */
export function depthIn({ width, height, at }: Mask): Field {
  const far = new Float32Array(at.length);
  const reach = (to: number, from: number, step: number): void => {
    const other = far[from]! + step;
    if (other < far[to]!) far[to] = other;
  };
  for (let index = 0; index < at.length; index++) far[index] = at[index] ? 1e6 : 0;
  const pass = (forward: boolean): void => {
    // half a million points: nothing is made for each of them
    const back = forward ? -1 : 1;
    const up = back * width;
    for (let row = 0; row < height; row++) {
      const y = forward ? row : height - 1 - row;
      const hasUp = row > 0;
      for (let column = 0; column < width; column++) {
        const index = y * width + (forward ? column : width - 1 - column);
        if (!at[index]) continue;
        const hasBack = column > 0;
        const hasAhead = column < width - 1;
        if (hasBack) reach(index, index + back, 1);
        if (hasUp) reach(index, index + up, 1);
        if (hasUp && hasBack) reach(index, index + up + back, 4 / 3);
        if (hasUp && hasAhead) reach(index, index + up - back, 4 / 3);
      }
    }
  };
  pass(true);
  pass(false);
  return { width, height, at: far };
}

/** The mask with all that lies so many points or less outside it. */
export function grown(mask: Mask, points: number): Mask {
  const { at } = depthIn({ ...mask, at: inverted(mask.at) });
  const out = new Uint8Array(at.length);
  for (let index = 0; index < at.length; index++) out[index] = at[index]! <= points ? 1 : 0;
  return { ...mask, at: out };
}

/** The mask without what lies so many points or less within its edge. */
export function eaten(mask: Mask, points: number): Mask {
  const { at } = depthIn(mask);
  const out = new Uint8Array(at.length);
  for (let index = 0; index < at.length; index++) out[index] = at[index]! > points ? 1 : 0;
  return { ...mask, at: out };
}

const inverted = (at: Uint8Array): Uint8Array => at.map((is) => 1 - is);

/** Means over boxes of (2 r + 1)², of the points of the mask alone, three times over: close to a Gaussian of σ ≈ r. NaN where no point is near. */
export function smoothed({ width, height, at }: Field, within: Mask, radius: number): Field {
  let [value, weight] = [new Float32Array(at.length), new Float32Array(at.length)];
  for (let index = 0; index < at.length; index++)
    if (within.at[index]) [value[index], weight[index]] = [at[index]!, 1];
  for (let round = 0; round < 3; round++) {
    value = boxed(value, width, height, radius);
    weight = boxed(weight, width, height, radius);
  }
  for (let index = 0; index < at.length; index++)
    value[index] = weight[index]! > 1e-6 ? value[index]! / weight[index]! : Number.NaN;
  return { width, height, at: value };
}

/** Sums over boxes by their count, what lies outside counting as nothing; columns go row by row, as they lie in memory. */
function boxed(from: Float32Array, width: number, height: number, radius: number): Float32Array<ArrayBuffer> {
  const rows = new Float32Array(from.length);
  const out = new Float32Array(from.length);
  const share = 1 / (2 * radius + 1);
  for (let y = 0; y < height; y++) {
    const base = y * width;
    let sum = 0;
    for (let x = 0; x < Math.min(radius, width); x++) sum += from[base + x]!;
    for (let x = 0; x < width; x++) {
      if (x + radius < width) sum += from[base + x + radius]!;
      if (x > radius) sum -= from[base + x - radius - 1]!;
      rows[base + x] = sum * share;
    }
  }
  const sums = new Float64Array(width);
  for (let y = -radius; y < height; y++) {
    const [come, gone] = [y + radius, y - radius - 1];
    for (let x = 0; x < width; x++) {
      if (come < height) sums[x]! += rows[come * width + x]!;
      if (gone >= 0) sums[x]! -= rows[gone * width + x]!;
      if (y >= 0) out[y * width + x] = sums[x]! * share;
    }
  }
  return out;
}

/** A light smoothing, [1 2 1] both ways; the outermost points stay as they are. */
export function softened({ width, height, at }: Field): Field {
  const out = Float32Array.from(at);
  for (let y = 1; y < height - 1; y++)
    for (let i = y * width + 1, end = (y + 1) * width - 1; i < end; i++) {
      const up = i - width;
      const down = i + width;
      const beside = at[i - 1]! + at[i + 1]! + at[up]! + at[down]!;
      const across = at[up - 1]! + at[up + 1]! + at[down - 1]! + at[down + 1]!;
      out[i] = (4 * at[i]! + 2 * beside + across) / 16;
    }
  return { width, height, at: out };
}

/** Of some numbers the one below which a share of them lies; a seeded thousand is enough of many. */
export function levelOf(values: Float32Array, within: Mask, share: number): number {
  const picked: number[] = [];
  let count = 0;
  for (const is of within.at) count += is;
  const step = Math.max(1, Math.floor(count / 4000));
  let next = 0;
  for (let index = 0, seen = 0; index < values.length; index++) {
    if (!within.at[index]) continue;
    if (seen++ !== next) continue;
    next += step;
    const value = values[index]!;
    if (!Number.isNaN(value)) picked.push(value);
  }
  picked.sort((a, b) => a - b);
  return picked[Math.min(picked.length - 1, Math.floor(share * picked.length))] ?? Number.NaN;
}
