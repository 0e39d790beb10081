import { formulaTotals } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { decide } from '../bake/decide';
import { bakeState } from '../bake/bakeState';
import { lotsOf } from '../bake/lotsOf';
import { planBatch } from '../batch/planBatch';
import { eightRolls } from '../batch/testBatch';
import { ordinaryScales } from '../batch/scale';
import { leaveningOf } from '../fermentation/leavening';
import { consistencyOf } from '../consistency';
import {
  ageOfLot,
  bookWith,
  kitchenBook,
  libraryBook,
  withLots,
  type IngredientBook,
  type KitchenEntry,
  type LotEntry,
} from '.';

const lot = (id: string, of: string, over: Partial<LotEntry> = {}): LotEntry => ({
  kind: 'lot', id: `own-${id}`, of, code: id, openedOn: null, bestBefore: null, open: true, ...over,
}); // prettier-ignore
const bookOf = (...entries: KitchenEntry[]): IngredientBook => {
  const made = bookWith(libraryBook, entries);
  if (!made.ok) throw new Error(JSON.stringify(made.problem));
  return made.value;
};
const rice = libraryBook.get('white-rice-flour')!;

test('of several open lots the one opened last is in use; its figures are its kind’s, with what is known of that lot', () => {
  const book = bookOf(
    lot('march', 'white-rice-flour', { openedOn: '2026-03-02', absorbs: { value: 1.2, sd: 0.04 } }),
    lot('may', 'white-rice-flour', { openedOn: '2026-05-09', absorbs: { value: 0.9, sd: 0.05 } }),
    lot('june', 'white-rice-flour', { openedOn: '2026-06-01', open: false }),
    lot('jar', 'instant-yeast', { vigour: { value: 0.6, sd: 0.1 } }),
  );
  const mine = book.get('white-rice-flour')!;
  expect(mine.lot).toMatchObject({ id: 'own-may', name: 'may' });
  expect(mine.absorption!.gPerG.value).toBeCloseTo(0.9 * rice.absorption!.gPerG.value, 12);
  expect(mine.absorption!.gPerG.sd).toBeCloseTo(0.05 * rice.absorption!.gPerG.value, 12);
  expect(mine.lots!.map(({ name, open }) => [name, open])).toEqual([['march', false], ['may', true], ['june', false]]); // prettier-ignore
  expect(book.get('instant-yeast')!.vigour).toEqual({ value: 0.6, sd: 0.1 });
  // as it was for a bake: another lot, one that is gone, none
  const then = (lotId?: string) =>
    withLots(book, new Map(lotId ? [['white-rice-flour', lotId]] : [])).get('white-rice-flour')!;
  expect(then('own-march').absorption!.gPerG.value).toBeCloseTo(1.2 * rice.absorption!.gPerG.value, 12);
  expect(then('own-gone').absorption).toEqual(rice.absorption);
  expect(then().lot).toBeUndefined();
  expect(withLots(libraryBook, new Map())).toBe(libraryBook);
});

test('a lot that was put away is still known, to what was made of it, but no longer in use', () => {
  const away = { id: 'own-old', version: 2, away: true, entry: lot('old', 'white-rice-flour') };
  const book = kitchenBook([away]);
  if (!book.ok) throw new Error();
  const mine = book.value.get('white-rice-flour')!;
  expect([mine.lot, mine.lots]).toEqual([undefined, [{ id: 'own-old', name: 'old', open: false }]]);
});

test('a lot of a blend makes the blend absorb as it does; a lot of nothing known is refused at its field', () => {
  const jar: KitchenEntry = {
    kind: 'blend', id: 'own-jar', name: 'Jar', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null, thirstCv: 0.1,
    parts: [{ ingredientId: 'white-rice-flour', massG: 1 }], absorbs: { value: 1.1, sd: 0.05 },
  }; // prettier-ignore
  const mine = bookOf(lot('box', 'own-jar', { absorbs: { value: 1.2, sd: 0.02 } }), jar).get('own-jar')!;
  expect(mine.absorbs!.value).toBeCloseTo(1.32, 12);
  expect(bookWith(libraryBook, [lot('what', 'own-nothing')])).toMatchObject({
    problem: { code: 'unknownIngredient', path: '0.of' },
  });
});

test('a bake keeps the lots that were open, and takes another one afterwards; one that is not written down is refused', () => {
  const book = bookOf(
    lot('a', 'white-rice-flour', { openedOn: '2026-01-01' }),
    lot('b', 'white-rice-flour', { openedOn: '2026-02-01' }),
  );
  const sheet = planBatch(plainLoaf(), eightRolls, ordinaryScales, book);
  if (!sheet.ok) throw new Error();
  expect(sheet.value.lots).toEqual([{ ingredientId: 'white-rice-flour', lotId: 'own-b', name: 'b' }]);
  const other = { type: 'lotUsed', ingredientId: 'white-rice-flour', lotId: 'own-a' } as const;
  const ended = bakeState(0, [
    { seq: 1, atMs: 1, action: { type: 'abandoned', reason: '' } },
    { seq: 2, atMs: 2, action: other },
  ]);
  expect(lotsOf(sheet.value, ended).get('white-rice-flour')).toBe('own-a');
  expect(decide(sheet.value, bakeState(0, []), other, book).ok).toBe(true);
  expect(decide(sheet.value, ended, other, book)).toMatchObject({ problem: { code: 'alreadyDone' } });
  // what becomes known the next day can still be said
  expect(decide(sheet.value, ended, { ...other, lotId: null }, book).ok).toBe(true);
  expect(decide(sheet.value, ended, { ...other, lotId: 'own-x' }, book)).toMatchObject({
    problem: { code: 'unknownLot', path: 'lotId' },
  });
});

test('an old jar lifts by what of it lives', () => {
  const loaf = plainLoaf();
  const [first, ...rest] = loaf.stages;
  const formula = {
    ...loaf,
    stages: [{ ...first!, lines: [...first!.lines, line('instant-yeast', 6)] }, ...rest],
  };
  const yeastG = (book: IngredientBook) =>
    leaveningOf(formula, book, formulaTotals(formula, book), consistencyOf(formula, book), 1.1)!.yeastG;
  const old = bookOf(lot('jar', 'instant-yeast', { vigour: { value: 0.5, sd: 0.1 } }));
  expect(yeastG(old)).toBeCloseTo(0.5 * yeastG(libraryBook), 9);
  // a new jar is new, whatever was said of yeast before
  const bag: KitchenEntry = {
    kind: 'bag', id: 'instant-yeast', bag: 'spring tin', source: '', changes: { vigour: { value: 0.3, sd: 0.1 } },
  }; // prettier-ignore
  expect(yeastG(bookOf(bag))).toBeCloseTo(0.3 * yeastG(libraryBook), 9);
  expect(yeastG(bookOf(bag, lot('new', 'instant-yeast')))).toBeCloseTo(yeastG(libraryBook), 9);
});

test('how old a bag was on the day of a bake: by when it was opened and by its date, where its pack says so', () => {
  const [bag] = bookOf(lot('a', 'instant-yeast', { openedOn: '2026-02-20', bestBefore: '2026-03-01' })).get('instant-yeast')!.lots!;
  expect(ageOfLot(bag!, '2026-03-04')).toEqual({ openDays: 12, pastDays: 3 });
  expect(ageOfLot(bag!, '2026-02-20')).toEqual({ openDays: 0, pastDays: -9 });
  // it was another bag, or is written down wrongly
  expect(ageOfLot(bag!, '2026-02-19')).toEqual({ openDays: null, pastDays: -10 });
  const [silent] = bookOf(lot('b', 'instant-yeast')).get('instant-yeast')!.lots!;
  expect(ageOfLot(silent!, '2026-03-04')).toEqual({ openDays: null, pastDays: null });
}); // prettier-ignore
