import { sampleRankCorrelation } from 'simple-statistics';
import { seededRandom } from '../numeric/seededRandom';
import { crumbFiguresSchema } from './photoSchema';
import { shrunk, type Picture } from './raster';
import { crumbFigures, mended, readCrumb } from './readCrumb';
import { isPicture, sniff } from './sniff';
import { FAMILIES, testSlice } from './testSlices';

/** A sample of what `./crumb soak crumb` asks in hundreds, in smaller pictures. */
const read = FAMILIES.map((family, index) => {
  const { picture, truth } = testSlice(family, 300 + index, 440);
  const reading = readCrumb(picture);
  if (!reading.ok) throw new Error(`${family}: ${reading.problem.code}`);
  return { family, truth, ...reading.value };
});
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

test('porosity within three points on the whole, as many holes in order, and the form of the slice', () => {
  expect(mean(read.map(({ figures, truth }) => Math.abs(figures.porosityPercent - truth.porosityPercent)))).toBeLessThan(3);
  for (const { family, figures, truth } of read) {
    expect([family, Math.abs(figures.porosityPercent - truth.porosityPercent) < 7]).toEqual([family, true]);
    expect([family, Math.abs(figures.heightToWidth / truth.heightToWidth - 1) < 0.05]).toEqual([family, true]);
  }
  const [found, there] = [read.map(({ figures }) => figures.holes), read.map(({ truth }) => truth.holes)];
  expect(sampleRankCorrelation(found, there)).toBeGreaterThan(0.9);
}); // prettier-ignore

test('the tunnel and the dense line of a slice that has both are found', () => {
  const { figures, truth } = read.find(({ family }) => family === 'line')!;
  expect(Math.abs(figures.tunnelPercent - truth.tunnelPercent)).toBeLessThan(5);
  expect(Math.abs(figures.denseLinePercent - truth.denseLinePercent)).toBeLessThan(4);
  expect(figures.denseLinePercent).toBeGreaterThan(4);
});

test('what is read can be saved, and the slice’s edge lies round it', () => {
  for (const { figures, found } of read) {
    expect(crumbFiguresSchema.safeParse(figures)).toMatchObject({ success: true });
    const xs = figures.outline.map(({ x }) => x * found.slice.width);
    const columns = [...found.slice.at.keys()].filter((index) => found.slice.at[index]).map((index) => index % found.slice.width); // prettier-ignore
    const [left, right] = [
      Math.min(...new Set(columns).values()),
      columns.reduce((most, x) => Math.max(most, x), 0),
    ];
    expect(Math.abs(Math.min(...xs) - left)).toBeLessThan(6);
    expect(Math.abs(Math.max(...xs) - right)).toBeLessThan(6);
  }
});

const drawn = (at: (x: number, y: number) => readonly [number, number, number], seed = 3): Picture => {
  const [width, height, random] = [400, 300, seededRandom(seed)];
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let index = 0; index < width * height; index++) {
    const colour = at(index % width, Math.floor(index / width));
    for (let c = 0; c < 3; c++) rgba[4 * index + c] = colour[c]! + 6 * (random() - 0.5);
  }
  return { width, height, rgba };
};
const [BREAD, BOARD] = [[222, 192, 146], [60, 66, 72]] as const; // prettier-ignore
/** A square slice of 200 points with one round hole of 40 across, 3 % and a bit of it. */
const square = (hole = true) =>
  drawn((x, y) => {
    if (Math.abs(x - 200) > 100 || Math.abs(y - 150) > 100) return BOARD;
    return hole && Math.hypot(x - 200, y - 130) < 20 ? [110, 92, 66] : BREAD;
  });

test('a square with one round hole: every figure can be told by hand', () => {
  const reading = readCrumb(square());
  if (!reading.ok) throw new Error(reading.problem.code);
  const { figures, found } = reading.value;
  const face = found.face.at.reduce((sum, is) => sum + is, 0);
  expect(figures.holes).toBe(1);
  expect(figures.porosityPercent).toBeCloseTo((100 * Math.PI * 400) / face, 0);
  expect(Math.abs(figures.middleHolePercent - 20)).toBeLessThan(1.5);
  expect(Math.abs(figures.tunnelPercent - 20)).toBeLessThan(1.5);
  expect(Math.abs(figures.heightToWidth - 1)).toBeLessThan(0.02);
  // the hole ends 100 points, half of the height, above the base
  expect(Math.abs(figures.denseLinePercent - 50)).toBeLessThan(3);
  expect(figures.evenness).toBe(0);
});

test('a hand puts right what was read: a hole filled, one drawn, the later mark over the earlier', () => {
  const reading = readCrumb(square());
  if (!reading.ok) throw new Error(reading.problem.code);
  const { found } = reading.value;
  const away = { x: 0.5, y: 130 / 300, r: 0.07, as: 'crumb' } as const;
  const put = { x: 0.4, y: 0.6, r: 0.03, as: 'hole' } as const;
  const whole = crumbFigures(found, [away])!;
  expect([whole.holes, whole.porosityPercent, whole.marks]).toEqual([0, 0, [away]]);
  const two = crumbFigures(found, [put])!;
  expect(two.holes).toBe(2);
  // a circle of 12 points
  const face = found.face.at.reduce((sum, is) => sum + is, 0);
  expect(two.porosityPercent - reading.value.figures.porosityPercent).toBeCloseTo((100 * Math.PI * 144) / face, 0);
  expect(crumbFigures(found, [put, { ...put, as: 'crumb' }])!.holes).toBe(1);
  // what was read itself stays as it was, and nothing is drawn outside the face
  expect(crumbFigures(found, [])).toEqual(reading.value.figures);
  expect(mended(found, [{ x: 0.02, y: 0.02, r: 0.05, as: 'hole' }]).holes.at).toEqual(found.holes.at);
}); // prettier-ignore

test('uneven light, a large picture and a small one, read alike', () => {
  const lit = readCrumb(drawn((x, y) => {
    const [at] = [0.45 + (0.55 * (x + y)) / 700];
    const colour = Math.abs(x - 200) > 100 || Math.abs(y - 150) > 100 ? BOARD : Math.hypot(x - 200, y - 130) < 20 ? [110, 92, 66] as const : BREAD;
    return [colour[0] * at, colour[1] * at, colour[2] * at];
  }));
  const plain = readCrumb(square());
  const { picture } = testSlice('board', 7, 900);
  const [large, small] = [readCrumb(picture), readCrumb(shrunk(picture, 720))];
  if (!lit.ok || !plain.ok || !large.ok || !small.ok) throw new Error('not read');
  expect(Math.abs(lit.value.figures.porosityPercent - plain.value.figures.porosityPercent)).toBeLessThan(0.6);
  expect(large.value.figures).toEqual(small.value.figures);
}); // prettier-ignore

test('a light that falls towards the base, and crust that is thicker along a part of it, are no holes', () => {
  const CRUST = [150, 112, 74] as const;
  const shaded = readCrumb(
    drawn((x, y) => {
      const at = 1 - (0.62 * (y - 30)) / 220;
      const [right, down] = [Math.abs(x - 200), Math.abs(y - 150)];
      // five points of crust all round, thicker by up to six for 90 of the base, and a hole that touches that from within
      const bulge = Math.abs(x - 160) < 45 ? 6 : 0;
      const isHole = Math.hypot(x - 200, y - 130) < 20 || Math.hypot(x - 160, y - 226) < 13;
      const colour = right > 100 || down > 100 ? BOARD : right > 95 || y < 55 || y > 244 - bulge ? CRUST : isHole ? ([110, 92, 66] as const) : BREAD;
      return [colour[0] * at, colour[1] * at, colour[2] * at];
    }),
  );
  if (!shaded.ok) throw new Error(shaded.problem.code);
  const { figures, found } = shaded.value;
  const face = found.face.at.reduce((sum, is) => sum + is, 0);
  expect(figures.holes).toBe(2);
  expect(Math.abs(figures.tunnelPercent - 20)).toBeLessThan(1.5);
  expect(figures.porosityPercent).toBeCloseTo((100 * Math.PI * (400 + 169)) / face, 0);
  expect(figures.denseLinePercent).toBeLessThan(4);
}); // prettier-ignore

test.each<[string, Picture]>([
  ['nothing', drawn(() => [200, 200, 200])],
  ['a shade from side to side', drawn((x) => [x * 0.6, x * 0.6, x * 0.6])],
  ['noise', drawn((() => ((random) => () => [255 * random(), 255 * random(), 255 * random()] as const)(seededRandom(1)))())],
  ['squares', drawn((x, y) => (((x >> 5) + (y >> 5)) % 2 ? [240, 240, 240] : [20, 20, 20]))],
  ['a page of print', drawn((x, y) => (y % 14 < 6 && (x * 7 + y * 3) % 37 < 17 && x > 40 && x < 360 ? [30, 30, 30] : [245, 245, 240]))],
  ['a table that ends', drawn((x) => (x < 200 ? [210, 190, 150] : [60, 60, 60]))],
  ['a star', drawn((x, y) => (Math.hypot(x - 200, y - 150) < 75 * (1 + 0.75 * Math.cos(5 * Math.atan2(y - 150, x - 200))) ? BREAD : BOARD))],
  ['a crumb far away', drawn((x, y) => (Math.hypot(x - 200, y - 150) < 22 ? BREAD : BOARD))],
  ['a few points', { width: 20, height: 20, rgba: new Uint8ClampedArray(1600) }],
])('%s is no slice', (_, picture) => {
  expect(readCrumb(picture)).toEqual({ ok: false, problem: { code: 'noSlice', path: '' } });
}); // prettier-ignore

test('what a file is stands in its first bytes', () => {
  const bytes = (...values: (number | string)[]) =>
    Uint8Array.from(values.flatMap((value) => (typeof value === 'number' ? [value] : [...value].map((letter) => letter.charCodeAt(0))))); // prettier-ignore
  expect(
    [
      bytes(0xff, 0xd8, 0xff, 0xe1),
      bytes(0x89, 'PNG', 13, 10, 26, 10),
      bytes('RIFF', 0, 0, 0, 0, 'WEBP'),
      bytes(0, 0, 0, 24, 'ftypheic'),
      bytes(0, 0, 0, 24, 'ftypisom'),
      bytes('RIFF', 0, 0, 0, 0, 'WAVE'),
      bytes(0xff, 0xd8),
      bytes(),
    ].map(sniff),
  ).toEqual(['jpeg', 'png', 'webp', 'heic', 'other', 'other', 'other', 'other']);
  expect([isPicture('webp'), isPicture('heic')]).toEqual([true, false]);
});
