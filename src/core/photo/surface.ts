import { Matrix, solve } from 'ml-matrix';

const TERMS = 6;
/** Light changes slowly over a picture: a surface of the second degree, whose middle is 0 and whose sides are ±0.5. */
export const termsAt = (x: number, y: number): readonly number[] => [1, x, y, x * x, x * y, y * y];

/** A place by its terms, and how bright it is there. */
export interface Place {
  readonly terms: readonly number[];
  readonly value: number;
}

/**
 * The surface nearest to all places (least squares).
 *
 * @param pull towards a flat one, per place: of the slopes, of the curves; more than 0, so that there is always an answer
 */
export function surfaceThrough(places: readonly Place[], pull: { readonly slope: number; readonly curve: number }): readonly number[] {
  const matrix = Array.from({ length: TERMS }, () => new Array<number>(TERMS).fill(0));
  const right = new Array<number>(TERMS).fill(0);
  for (const { terms, value } of places)
    for (let i = 0; i < TERMS; i++) {
      right[i]! += terms[i]! * value;
      for (let j = 0; j < TERMS; j++) matrix[i]![j]! += terms[i]! * terms[j]!;
    }
  for (let i = 1; i < TERMS; i++) matrix[i]![i]! += places.length * (i < 3 ? pull.slope : pull.curve);
  return solve(new Matrix(matrix), Matrix.columnVector(right)).to1DArray();
} // prettier-ignore

/** How much brighter a place is than the surface. */
export function offSurface(surface: readonly number[], { terms, value }: Place): number {
  let left = value;
  for (let i = 0; i < TERMS; i++) left -= terms[i]! * surface[i]!;
  return left;
}

/** The surface at every point of a picture. */
export function overPicture(surface: readonly number[], width: number, height: number): Float32Array {
  const [a, b, c, d, e, f] = surface as [number, number, number, number, number, number];
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const u = x / width - 0.5;
      const v = y / height - 0.5;
      out[y * width + x] = a + b * u + c * v + d * u * u + e * u * v + f * v * v;
    }
  return out;
}
