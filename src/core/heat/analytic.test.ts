import { radial, slab, type Grid } from './grid';
import { FIGURES } from '../calibrated';
import { bodyFiguresOf, heatOf, newBody, swellTo, type BodyFigures, type Meeting } from './bodyState';
import { stableStepS } from './stableStep';
import { advance } from './stepper';

/** The stepper with water's part off against the series of Carslaw & Jaeger (1959) and Incropera & DeWitt, convective boundary. */

/** Bessel functions of the first kind, by their integral (Simpson's rule on a periodic integrand: exact to rounding). */
function bessel(order: 0 | 1, x: number): number {
  const n = 64;
  let sum = 0;
  for (let i = 0; i < n; i += 1)
    sum += Math.cos(order * ((Math.PI * (i + 0.5)) / n) - x * Math.sin((Math.PI * (i + 0.5)) / n));
  return sum / n;
}

interface Form {
  /** Zero at the eigenvalues; between two of `poles` lies one root. */
  readonly condition: (z: number, biot: number) => number;
  readonly coefficient: (z: number) => number;
  readonly at: (z: number, share: number) => number;
  readonly grid: (cells: number) => Grid;
}
const L = 0.03;
const even = (cells: number, length = L) => new Array<number>(cells).fill(length / cells);
const FORMS: Record<string, Form> = {
  slab: {
    condition: (z, biot) => z * Math.sin(z) - biot * Math.cos(z),
    coefficient: (z) => (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z)),
    at: (z, share) => Math.cos(z * share),
    grid: (cells) => slab(even(2 * cells, 2 * L), 0.02),
  },
  cylinder: {
    condition: (z, biot) => z * bessel(1, z) - biot * bessel(0, z),
    coefficient: (z) => ((2 / z) * bessel(1, z)) / (bessel(0, z) ** 2 + bessel(1, z) ** 2),
    at: (z, share) => bessel(0, z * share),
    grid: (cells) => radial(even(cells), { ball: false, lengthM: 0.3 }, 0.2),
  },
  sphere: {
    condition: (z, biot) => (1 - biot) * Math.sin(z) - z * Math.cos(z),
    coefficient: (z) => (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z)),
    at: (z, share) => Math.sin(z * share) / (z * share),
    grid: (cells) => radial(even(cells), { ball: true }, 0),
  },
};

function roots(form: Form, biot: number, count: number): number[] {
  const found: number[] = [];
  let before = form.condition(1e-6, biot);
  for (let z = 0.01; found.length < count; z += 0.01) {
    const now = form.condition(z, biot);
    if (before * now < 0) {
      let low = z - 0.01;
      let high = z;
      for (let i = 0; i < 60; i += 1) {
        const middle = (low + high) / 2;
        if (form.condition(low, biot) * form.condition(middle, biot) <= 0) high = middle;
        else low = middle;
      }
      found.push((low + high) / 2);
    }
    before = now;
  }
  return found;
}

const figures: BodyFigures = {
  ...bodyFiguresOf(
    FIGURES,
    {
      matter: {
        waterShare: 0.5, dryHeatJPerKgK: 1800, conductsWPerMK: 0.5, densityKgPerM3: 1100, gelatinisationC: null, brownsReadily: 1,
      },
      porosity: 0, pressurePa: 101_325, springs: 1,
    },
    { conduction: 1, vapourPath: 1, browning: 1 },
  ),
  plain: true,
}; // prettier-ignore
const CONDUCTS = 0.5 * FIGURES.conduction;
const HEAT_PER_M3 = 1100 * (0.5 * 1800 + 0.5 * 4200);

/** Largest error over times, share of the span, at the cell nearest the middle. */
function worst(form: Form, biot: number, cells: number): number {
  const grid = form.grid(cells);
  const state = newBody(grid, figures, 20);
  const meeting: Meeting = {
    tempC: 220,
    hWPerM2K: (biot * CONDUCTS) / L,
    emissivity: 0,
    wallC: 0,
    massPerPa: 0,
    vapourPa: 0,
  };
  const meetings = [meeting, meeting, meeting];
  const zs = roots(form, biot, 12);
  const away = 0.5 / cells;
  const scale = CONDUCTS / HEAT_PER_M3 / L / L;
  let tS = 0;
  let error = 0;
  const dtS = stableStepS(state, meetings);
  for (const fourier of [0.1, 0.2, 0.4, 0.8, 1.5]) {
    const endS = fourier / scale;
    while (tS < endS - 1e-9) {
      const step = Math.min(dtS, endS - tS);
      advance(state, meetings, step);
      tS += step;
    }
    const left = zs.reduce(
      (sum, z) => sum + form.coefficient(z) * Math.exp(-z * z * fourier) * form.at(z, away),
      0,
    );
    const true_ = 220 - 200 * left;
    error = Math.max(error, Math.abs(state.tempC[grid.core]! - true_) / 200);
  }
  expect(
    Math.abs(heatOf(state) - heatOf(newBody(grid, figures, 20)) - state.takenJ) / state.takenJ,
  ).toBeLessThan(1e-10);
  return error;
}

test.each(Object.keys(FORMS))('%s: within 0.5 %% of the span of the series, and of second order', (name) => {
  const form = FORMS[name]!;
  for (const biot of [0.5, 2, 10]) {
    const coarse = worst(form, biot, 10);
    const fine = worst(form, biot, 20);
    expect(fine).toBeLessThan(0.005);
    // halving the cells (and so quartering the steps) must quarter the error
    expect(Math.log2(coarse / fine)).toBeGreaterThan(1.8);
  }
});

test('a body at its surroundings’ temperature stays there', () => {
  const grid = FORMS.sphere!.grid(12);
  const state = newBody(grid, figures, 60);
  const meeting: Meeting = { tempC: 60, hWPerM2K: 20, emissivity: 0.9, wallC: 60, massPerPa: 0, vapourPa: 0 };
  for (let step = 0; step < 500; step += 1) {
    stableStepS(state, [meeting, meeting, meeting]);
    advance(state, [meeting, meeting, meeting], 2);
  }
  for (const t of state.tempC) expect(t).toBeCloseTo(60, 9);
});

test('a slab between two fixed temperatures settles to the straight line', () => {
  const grid = slab(even(16, 0.04), 0.01);
  const state = newBody(grid, figures, 20);
  const hot: Meeting = { tempC: 90, hWPerM2K: 1e9, emissivity: 0, wallC: 0, massPerPa: 0, vapourPa: 0 };
  const cold: Meeting = { ...hot, tempC: 10 };
  const meetings = [hot, hot, cold];
  const dtS = stableStepS(state, meetings);
  for (let tS = 0; tS < 60_000; tS += dtS) advance(state, meetings, dtS);
  state.tempC.forEach((t, cell) => expect(t).toBeCloseTo(10 + (80 * (cell + 0.5)) / 16, 3));
});

test('a body that grows keeps what it holds, and its heat takes the way it then has', () => {
  const grids: [Grid, number, number][] = [
    // a slab twice as thick conducts half, a rod's way and skin grow together, a ball's conductance with its radius
    [slab(even(8), 0.02), 0.5, 2],
    [radial(even(8), { ball: false, lengthM: 0.3 }, 0.2), 0.25, 1],
    [radial(even(8), { ball: true }, 0), 0.125, 0.5],
  ];
  for (const [grid, volumeShare, conducts] of grids) {
    const state = newBody(grid, figures, 20);
    const heat = heatOf(state);
    const before = state.between[3]!;
    swellTo(state, volumeShare);
    expect(heatOf(state)).toBe(heat);
    expect(state.between[3]! / before).toBeCloseTo(conducts, 9);
    swellTo(state, 1);
    expect(state.between[3]!).toBeCloseTo(before, 12);
    expect([...state.edgeArea]).toEqual([...grid.edgeArea]);
  }
});
