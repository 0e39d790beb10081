import { readFileSync } from 'node:fs';
import type { Formula } from '../formula';
import { setCentralS } from '../heat';
import { libraryBook } from '../ingredients';
import { anotherTin } from './anotherTin';
import { ORDINARY_KITCHEN } from './ordinaryKitchen';

const demo = JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as {
  readonly formulas: readonly { readonly revisions: readonly { readonly formula: Formula }[] }[];
};
const named = (name: string) =>
  demo.formulas
    .map(({ revisions }) => revisions.at(-1)!.formula)
    .find((formula) => formula.name.startsWith(name))!;
const loaf = named('Millet and linseed tin loaf');
const inTin = (lengthCm: number, widthCm: number, heightCm: number, pieceG = 1050) =>
  anotherTin(loaf, pieceG, { kind: 'dark', lengthCm, widthCm, heightCm }, ORDINARY_KITCHEN, libraryBook)!;
const minutes = (...size: Parameters<typeof inTin>) =>
  inTin(...size).bakes!.map((bake) => setCentralS(bake)! / 60);

test('how full it is and when it is at the rim: a litre of dough in two litres of tin is half full, and at the rim when doubled', () => {
  const { fills, rimPercent } = inTin(20, 10, 9.84);
  // 1,050 g of this dough are 984 ml
  expect(fills).toBeCloseTo(0.5, 2);
  expect(rimPercent).toBeCloseTo(100, 0);
  expect(inTin(20, 10, 4).rimPercent).toBeLessThan(0);
  // so much dough, so much more room: height and weight alone decide
  expect(inTin(20, 10, 8, 500).fills / inTin(20, 10, 8, 1000).fills).toBeCloseTo(0.5, 6);
});

test('a longer, flatter tin bakes the same dough sooner; more of it in one tin longer', () => {
  const [planned, long] = minutes(34, 11, 8);
  expect(long! / planned!).toBeLessThan(0.75);
  expect(long).toBeGreaterThan(15);
  const [, narrow] = minutes(20, 10, 9);
  expect(narrow! / long!).toBeGreaterThan(1.3);
  expect(minutes(20, 10, 9, 1400)[1]! / narrow!).toBeGreaterThan(1.1);
  // as planned it is as long as that bread takes: an hour, more or less
  expect(planned).toBeGreaterThan(40);
  expect(planned).toBeLessThan(80);
});

test('what is baked in no tin has none', () => {
  expect(anotherTin(named('Pumpkin-seed supper rolls'), 85, { kind: 'dark', lengthCm: 20, widthCm: 10, heightCm: 9 }, ORDINARY_KITCHEN, libraryBook)).toBeNull();
}); // prettier-ignore
