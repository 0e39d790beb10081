import fc from 'fast-check';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { COLOURS, colourOf, crustLab } from './colour';
import { crumbMatterOf } from './crumbMatter';
import { FIGURES } from '../calibrated';
import { bodyFiguresOf, heatOf, newBody, rested, waterOf } from './bodyState';
import { stillOver, unshaded } from './films';
import { block, graded, grouped, radial, slab, together, type Grid } from './grid';
import { ORDINARY_OVENS, heatUpS, thermostatW } from './oven';
import { bodyOf, PIECE_LIMITS, type Piece } from './piece';
import { newPlate, stepPlate } from './plate';
import { PLATES } from './parameters';
import { CENTRAL_DRAW, simulateBake } from './bake';
import { rolls, tinLoaf } from './testBakes';
import { checkProgramme, newPhase } from './programme';
import {
  boilingAtC,
  latentJPerKg,
  vapourConductionWPerMK,
  vapourPassesKgPerSMPa,
  vapourPressureFast,
  vapourPressurePa,
} from './water';
import type { Shape } from '../method/heating';

const sum = (values: ArrayLike<number>): number =>
  Array.from(values).reduce((total, each) => total + each, 0);
const skin = (grid: Grid, side: number): number =>
  Array.from(grid.edge.keys())
    .filter((edge) => grid.side[edge] === side)
    .reduce((total, edge) => total + grid.edgeArea[edge]!, 0);

test('grids: the cells fill the body, the faces are its skin, each way is half a cell', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.004, max: 0.15, noNaN: true }),
      fc.double({ min: 0.0008, max: 0.004, noNaN: true }),
      fc.constantFrom('first' as const, 'last' as const, 'both' as const),
      (length, finest, ends) => {
        const widths = graded(length, finest, ends);
        expect(sum(widths)).toBeCloseTo(length, 12);
        for (const width of widths) expect(width).toBeGreaterThan(0);
        widths.slice(1).forEach((width, index) => {
          const ratio = width / widths[index]!;
          expect(Math.max(ratio, 1 / ratio)).toBeLessThan(1.45 + 1e-9);
        });
      },
    ),
  );
  const across = graded(0.05, 0.0016, 'last');
  const up = graded(0.09, 0.0016, 'both');
  const tin = block(across, up, { round: false, lengthM: 0.22 });
  expect(sum(tin.volume) * tin.times).toBeCloseTo(0.1 * 0.09 * 0.22, 12);
  expect(skin(tin, 0) * tin.times).toBeCloseTo(0.1 * 0.22, 12);
  expect(skin(tin, 1) * tin.times).toBeCloseTo(2 * 0.09 * 0.22, 12);
  const round = block(across, up, { round: true });
  expect(sum(round.volume)).toBeCloseTo(Math.PI * 0.05 ** 2 * 0.09, 12);
  expect(skin(round, 1)).toBeCloseTo(2 * Math.PI * 0.05 * 0.09, 12);
  const bar = radial(across, { ball: false, lengthM: 0.3 }, 0.22);
  expect(sum(bar.volume)).toBeCloseTo(Math.PI * 0.05 ** 2 * 0.3, 12);
  expect(skin(bar, 2) / (skin(bar, 0) + skin(bar, 2))).toBeCloseTo(0.22, 12);
  const ball = radial(across, { ball: true }, 0);
  expect(sum(ball.volume)).toBeCloseTo((4 / 3) * Math.PI * 0.05 ** 3, 12);
  expect(sum(slab(up, 0.05).volume)).toBeCloseTo(0.09 * 0.05, 12);
});

test('pieces: whatever the shape and size, the body has the piece’s volume; the grid is finer where it ships', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(PIECE_LIMITS) as Shape[])),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 1.2, max: 2.6, noNaN: true }),
      (shape, share, lightness) => {
        const { min, max } = PIECE_LIMITS[shape].massG;
        const piece: Piece = {
          shape,
          massG: min * (max / min) ** share,
          lightness,
          lengthCm: null,
          widthCm: null,
        };
        const made = bodyOf(piece, 1150);
        if (!made.ok) return expect(made.problem.path).toMatch(/thicknessM|lengthCm/);
        const volume = (piece.massG / 1000 / 1150) * lightness;
        expect(sum(made.value.grid.volume) * made.value.grid.times).toBeCloseTo(volume, 9);
        expect(made.value.porosity).toBeCloseTo(1 - 1 / lightness, 12);
        const coarse = bodyOf(piece, 1150, 'coarse');
        expect(coarse.ok && coarse.value.grid.cells).toBeLessThanOrEqual(made.value.grid.cells);
      },
    ),
  );
});

test('a piece that only cools has fewer cells over the same body, and keeps its heat, its water and its crust', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(PIECE_LIMITS) as Shape[])),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.constantFrom('shipped' as const, 'coarse' as const),
      (shape, share, kind) => {
        const { min, max } = PIECE_LIMITS[shape].massG;
        const piece: Piece = {
          shape,
          massG: min + share * (max - min),
          lightness: 1.8,
          lengthCm: null,
          widthCm: null,
        };
        const made = bodyOf(piece, 1150, kind);
        if (!made.ok) return;
        const { grid, resting } = made.value;
        expect(resting.grid.cells).toBeLessThanOrEqual(grid.cells);
        expect(resting.grid.cells).toBeGreaterThan(1);
        expect(sum(resting.grid.volume)).toBeCloseTo(sum(grid.volume), 12);
        for (const side of [0, 1, 2]) expect(skin(resting.grid, side)).toBeCloseTo(skin(grid, side), 12);
        const [parts, whole] = [new Float64Array(resting.grid.cells), resting.grid.volume];
        resting.cellOf.forEach((cell, of) => (parts[cell]! += grid.volume[of]!));
        parts.forEach((volume, cell) => expect(volume / whole[cell]!).toBeCloseTo(1, 9));
        // the middle stays in the middle
        expect(resting.cellOf[grid.core]).toBe(resting.grid.core);

        const { matter } = tinLoaf();
        const drawn = { conduction: 1, vapourPath: 1, browning: 1 };
        const figures = bodyFiguresOf(
          FIGURES,
          { matter, porosity: 0.4, pressurePa: 101_325, springs: 1.2 },
          drawn,
        );
        const hot = newBody(grid, figures, 30);
        hot.heatJ.forEach((_, cell) => (hot.heatJ[cell]! *= 1 + 2 * (cell / grid.cells)));
        hot.waterKg.forEach((_, cell) => (hot.waterKg[cell]! *= 1 - 0.6 * (cell / grid.cells)));
        hot.brown.fill(4);
        const cools = rested(hot, resting);
        expect(heatOf(cools) / heatOf(hot)).toBeCloseTo(1, 12);
        expect(waterOf(cools) / waterOf(hot)).toBeCloseTo(1, 12);
        expect(cools.volumeShare).toBe(hot.volumeShare);
        for (const index of cools.brown) expect(index).toBeCloseTo(4, 12);
      },
    ),
  );
  // from the skin inwards until three are together; what is wide enough stays alone
  expect(together([5, 3, 2, 1, 1], 3, 'last')).toEqual([0, 1, 2, 2, 2]);
  expect(grouped([5, 3, 2, 1, 1], [0, 1, 2, 2, 2])).toEqual([5, 3, 4]);
  expect(together([1, 1, 2, 2, 1, 1], 2, 'both')).toEqual([0, 0, 1, 2, 3, 3]);
  expect(together([1], 2, 'both')).toEqual([0]);
});

test('water: vapour pressure and latent heat as in steam tables, the quick table as the slow formula', () => {
  for (const [tempC, pa] of [
    [20, 2339],
    [60, 19_946],
    [80, 47_414],
    [100, 101_418],
    [120, 198_670],
  ] as const) {
    expect(Math.abs(vapourPressurePa(tempC) / pa - 1)).toBeLessThan(0.012);
  }
  for (let tempC = 0; tempC < 160; tempC += 0.37)
    expect(Math.abs(vapourPressureFast(tempC) / vapourPressurePa(tempC) - 1)).toBeLessThan(1.2e-3);
  for (const pa of [70_000, 81_489, 101_000, 101_325, 130_000, 200_000])
    expect(vapourPressurePa(boilingAtC(pa)) / pa).toBeCloseTo(1, 9);
  expect(latentJPerKg(100)).toBe(2_257_000);
  expect(latentJPerKg(20) / 2_454_000).toBeCloseTo(1, 2);
  expect(vapourConductionWPerMK(80, 101_325)).toBeGreaterThan(1);
  expect(vapourConductionWPerMK(80, 101_325)).toBeLessThan(2.5);
  expect(vapourConductionWPerMK(30, 101_325)).toBeLessThan(0.15);
});

test('plates keep the heat they are given, a stone lets it through slowly', () => {
  for (const kind of ['stone', 'steel', 'tray'] as const) {
    const plate = newPlate(kind, 20);
    for (let step = 0; step < 300; step += 1) stepPlate(plate, 1000, 500, 2);
    const held = sum(plate.tempC.map((t) => (t - 20) * PLATES[kind].heatJPerM3K * plate.layerM));
    expect(held / (1500 * 600)).toBeCloseTo(1, 9);
  }
  const stone = newPlate('stone', 20);
  for (let step = 0; step < 60; step += 1) stepPlate(stone, 5000, 0, 1);
  expect(stone.tempC[0]! - stone.tempC[4]!).toBeGreaterThan(10);
});

test('ovens: full power until near, then what it loses; weaker and heavier ones take longer', () => {
  const { static: oven } = ORDINARY_OVENS;
  expect(thermostatW(oven, 20, 220, 20)).toBe(oven.powerW);
  expect(thermostatW(oven, 220, 220, 20)).toBeCloseTo(oven.lossWPerK * 200, 9);
  expect(thermostatW(oven, 300, 220, 20)).toBe(0);
  expect(heatUpS({ ...oven, heatJPerK: 2 * oven.heatJPerK }, 20, 220, 20)).toBeGreaterThan(
    1.8 * heatUpS(oven, 20, 220, 20),
  );
  expect(heatUpS({ ...oven, powerW: 300 }, 20, 220, 20)).toBe(Infinity);
});

test('colours go from pale to burnt in order, and never lighter again', () => {
  expect([0, 0.6, 2, 6, 15, 40, 200].map(colourOf)).toEqual([...COLOURS]);
  let before = 100;
  for (let index = 0; index < 120; index += 0.25) {
    const { l } = crustLab(index);
    expect(l).toBeLessThanOrEqual(before + 1e-9);
    before = l;
  }
});

test('a dough’s matter comes of its composition', () => {
  const matter = crumbMatterOf(plainLoaf(), libraryBook)!;
  expect(matter.waterShare).toBeGreaterThan(0.35);
  expect(matter.waterShare).toBeLessThan(0.65);
  expect(matter.conductsWPerMK).toBeGreaterThan(0.35);
  expect(matter.conductsWPerMK).toBeLessThan(0.6);
  expect(matter.densityKgPerM3).toBeGreaterThan(1050);
  expect(matter.densityKgPerM3).toBeLessThan(1300);
  expect(matter.gelatinisationC!.onset).toBeGreaterThan(50);
  expect(matter.gelatinisationC!.peak).toBeGreaterThan(matter.gelatinisationC!.onset);
  const sweet = {
    ...plainLoaf(),
    stages: plainLoaf().stages.map((stage, index) =>
      index === 0
        ? { ...stage, lines: [...stage.lines, { id: 'sweet', ingredientId: 'sugar', massG: 80, note: '' }] }
        : stage,
    ),
  };
  expect(crumbMatterOf(sweet, libraryBook)!.brownsReadily).toBeGreaterThan(matter.brownsReadily);
  expect(crumbMatterOf({ stages: [] }, libraryBook)).toBeNull();
});

test('what is brushed on browns the upper side and nothing else; seeds and a dusting are no wash', () => {
  const with_ = (...ids: string[]) => ({
    stages: [
      ...plainLoaf().stages,
      { id: 't', kind: 'wash' as const, name: '', lines: ids.map((id) => ({ id, ingredientId: id, massG: 8, note: '' })) },
    ],
  }); // prettier-ignore
  const browns = (...ids: string[]) => crumbMatterOf(with_(...ids), libraryBook)!.washBrowns;
  expect(browns('pumpkin-seed', 'white-rice-flour', 'sugar')).toBeUndefined();
  expect(browns('egg-whole')).toBeGreaterThan(browns('whole-milk')!);
  expect(browns('whole-milk', 'egg-whole')).toBe(browns('egg-whole'));
  const bake = (...ids: string[]) => {
    const matter = crumbMatterOf(with_(...ids), libraryBook)!;
    const made = simulateBake(rolls({ matter }), CENTRAL_DRAW, 'coarse');
    if (!made.ok) throw new Error();
    const end = made.value.atS.length - 1;
    return { top: made.value.brownTop[end]!, base: made.value.brownBase[end]! };
  };
  const [plain, washed] = [bake('pumpkin-seed'), bake('egg-whole')];
  expect(washed.top).toBeGreaterThan(1.5 * plain.top);
  expect(washed.top).toBeLessThan(3.5 * plain.top);
  expect(washed.base).toBeCloseTo(plain.base, 9);
});

test('programmes: what nobody could do is refused with its phase', () => {
  const problem = (...phases: ReturnType<typeof newPhase>[]) => {
    const checked = checkProgramme(phases, 21, ORDINARY_OVENS.static);
    return checked.ok ? null : `${checked.problem.code} ${checked.problem.path}`;
  };
  const hot = newPhase('oven', 600, 220);
  expect(problem(hot)).toBeNull();
  expect(problem({ ...hot, moist: 'lid' }, hot)).toBeNull();
  expect(problem(hot, { ...hot, moist: 'lid' })).toBe('notAllowed phases.1.moist');
  expect(problem({ ...hot, inTin: true }, hot, { ...hot, inTin: true })).toBe('notAllowed phases.2.inTin');
  expect(problem({ ...hot, durationS: -1 })).toBe('tooSmall phases.0.durationS');
  expect(problem(newPhase('griddle', 60, 500))).toBe('tooLarge phases.0.setC');
  expect(problem(...Array.from({ length: 30 }, () => hot))).toBe('tooMany phases');
});

test('vapour leaves from under a crust: a loaf loses on before its crumb boils and 1-2.5 % more on the rack; sealed up it loses less', () => {
  // at 80 °C 3.53e-5 m²/s times 18 g/mol over R T, by hand
  expect(vapourPassesKgPerSMPa(101_325) / 2.166e-10).toBeCloseTo(1, 3);
  expect(vapourPassesKgPerSMPa(81_000) / vapourPassesKgPerSMPa(101_325)).toBeCloseTo(101_325 / 81_000, 9);
  const lost = (passes: number) => {
    const figures = { ...FIGURES, 'crust.passes': passes };
    const baked = simulateBake(tinLoaf(), CENTRAL_DRAW, 'coarse', 400, 'end', figures);
    if (!baked.ok) throw new Error(baked.problem.path);
    const { atS, lost: series, heatMissing, waterMissing } = baked.value;
    expect(Math.max(heatMissing, waterMissing)).toBeLessThan(1e-6);
    const outS = tinLoaf().phases.slice(0, -1).reduce((all, { durationS }) => all + durationS, 0); // prettier-ignore
    const out = series[atS.findIndex((s) => s >= outS)]!;
    return { out, cooling: series.at(-1)! - out };
  };
  const [sealed, open] = [lost(1e-5), lost(FIGURES['crust.passes'])];
  expect(open.cooling).toBeGreaterThan(0.01);
  expect(open.cooling).toBeLessThan(0.025);
  expect(sealed.cooling).toBeLessThan(0.8 * open.cooling);
  expect(open.out).toBeGreaterThan(sealed.out);
});

test('air lies still over a wide flat, not over its rim, nor where a fan moves it; neighbours on a tray hide the walls from one another', () => {
  const oven = newPhase('oven', 60, 220);
  const at = (acrossM: number, kind: 'static' | 'fan' = 'static', shape: Shape = 'disc', side: 'top' | 'side' = 'top') =>
    stillOver(shape, side, oven, { oven: ORDINARY_OVENS[kind], acrossM }); // prettier-ignore
  expect([at(0.29), at(0.03), at(0.29, 'fan'), at(0.29, 'static', 'hearth'), at(0.29, 'static', 'disc', 'side')]).toEqual([0.55, 1, 1, 1, 1]); // prettier-ignore
  expect(stillOver('disc', 'top', newPhase('rack', 60, 0), { oven: ORDINARY_OVENS.static, acrossM: 0.3 })).toBe(1); // prettier-ignore
  expect([1, 4].map((pieces) => unshaded('roll', 'side', pieces))).toEqual([1, 0.875]);
  expect(unshaded('ring', 'side', 9)).toBeCloseTo(5 / 6, 12);
  expect([unshaded('roll', 'top', 9), unshaded('tin', 'side', 2), unshaded('touchingRolls', 'side', 12)]).toEqual([1, 1, 1]); // prettier-ignore
});
