import type { Field } from './raster';
import { offSurface, overPicture, surfaceThrough, termsAt, type Place } from './surface';

/** Every so many points across and down are asked: a light that falls is the same a few points further. */
const EACH = 4;
const ROUNDS = 5;
/** Darker than the light by more than this (of its logarithm) it is hole; brighter, it shines. */
const [HOLE, SHINE] = [0.09, 0.25];
/** Fewer points than these say nothing of the light. */
const LEAST = 60;
/** A hair of pull: a slice as thin as a line has an answer too. */
const PULL = { slope: 1e-6, curve: 1e-6 };

/**
 * How the light falls over a slice: the smoothest surface (of the second degree, in the logarithm of brightness) through its crumb, holes left out, and
 * beyond it to the slice's edge. Looking only round each place cannot tell: at an edge all that is round it lies to one side, and a light that falls
 * towards the edge makes all of the edge look dark.
 *
 * @param isDeep where there is surely crumb and no crust
 * @returns the light at each point, about 1 on the mean of what was asked; 1 everywhere where too little was to be asked
 */
export function lightFall({ width, height, at }: Field, isDeep: (index: number) => boolean): Float32Array {
  const places: Place[] = [];
  for (let y = EACH >> 1; y < height; y += EACH)
    for (let x = EACH >> 1; x < width; x += EACH) {
      const index = y * width + x;
      if (isDeep(index) && at[index]! > 1) places.push({ terms: termsAt(x / width - 0.5, y / height - 0.5), value: Math.log(at[index]!) }); // prettier-ignore
    }
  let used: readonly Place[] = places;
  let light: readonly number[] = [];
  for (let round = 0; round < ROUNDS && used.length >= LEAST; round++) {
    const found = surfaceThrough(used, PULL);
    light = found;
    used = places.filter((place) => {
      const off = offSurface(found, place);
      return off > -HOLE && off < SHINE;
    });
  }
  if (used.length < LEAST) return new Float32Array(at.length).fill(1);
  const mean = places.reduce((sum, place) => sum + place.value - offSurface(light, place), 0) / places.length;
  return overPicture(light, width, height).map((value) => Math.exp(value - mean));
}
