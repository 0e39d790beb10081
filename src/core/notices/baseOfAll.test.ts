import { libraryBook } from '../ingredients';
import { PERCENT_BASES } from '../formula/formulaLimits';
import { line, plainLoaf } from '../formula/testFormulas';
import { tooWet } from '../adjust';
import { absorptionCv } from '../adjust/tooWet';
import { formulaAnswers } from '.';

/** A bag that holds gum, sugar and starch beside its flours, and more of all of them. */
const bagId = [...libraryBook.values()].find(({ madeOf }) => madeOf?.some(({ ingredientId }) => libraryBook.get(ingredientId)?.roles[0] === 'binder'))!.id; // prettier-ignore
const sheet = {
  ...plainLoaf(),
  stages: [
    { ...plainLoaf().stages[0]!, lines: [line(bagId, 500), line('water', 430), line('salt', 14, 'salt'), line('xanthan', 8), line('psyllium-husk', 40), line('sugar', 60), line('instant-yeast', 22)] },
  ],
}; // prettier-ignore

test('whatever counts as 100 %, the dough is the same and so is what is worth checking; only the percentages of the sheet differ', () => {
  const [flours, binders, bag] = PERCENT_BASES.map((percentBase) => formulaAnswers({ ...sheet, percentBase }, libraryBook)); // prettier-ignore
  expect(new Set([flours, binders, bag].map((each) => each!.totals.baseG)).size).toBe(3);
  expect(flours!.notices.map(({ code }) => code)).toEqual(expect.arrayContaining(['saltBrakes', 'sugarBrakes', 'binderInside'])); // prettier-ignore
  for (const other of [binders!, bag!]) {
    expect(other.consistency).toEqual(flours!.consistency);
    expect(other.notices).toEqual(flours!.notices);
    expect(other.cautions).toEqual(flours!.cautions);
    expect(other.totals.saltPercent).toBeLessThan(flours!.totals.saltPercent!);
  }
  const mends = PERCENT_BASES.map((percentBase) => {
    const made = tooWet({ ...sheet, percentBase }, 'thickBatter', 'soft', ['white-rice-flour', bagId], libraryBook); // prettier-ignore
    return made.ok && made.value.map(({ ingredientId, addG, saltG }) => [ingredientId, addG.toFixed(6), saltG.toFixed(6)]); // prettier-ignore
  });
  expect(mends[0]).toHaveLength(2);
  expect(mends).toEqual([mends[0], mends[0], mends[0]]);
});

test('a bag as bought dries a dough like any powder, and says how unsure its absorption is', () => {
  const rice = libraryBook.get('white-rice-flour')!.absorption!.gPerG;
  const book = new Map(libraryBook);
  const put = (id: string, part: object) => book.set(id, { ...libraryBook.get(bagId)!, id, ...part });
  put('two', { madeOf: [{ ingredientId: 'white-rice-flour', share: 1 }, { ingredientId: 'white-rice-flour', share: 1 }], thirstCv: undefined });
  put('guessed', { madeOf: [{ ingredientId: 'white-rice-flour', share: 1 }], thirstCv: 0.3 });
  put('known', { madeOf: [{ ingredientId: 'white-rice-flour', share: 1 }], absorbs: { value: 0.9, sd: 0.036 } });
  put('starter', { roles: ['starter'] });
  put('lost', { madeOf: [{ ingredientId: 'nowhere', share: 1 }] });
  put('sugars', { madeOf: [{ ingredientId: 'sugar', share: 1 }] });
  const cv = rice.sd / rice.value;
  expect(absorptionCv('white-rice-flour', book)).toBe(cv);
  // two halves of the same are as unsure as halves drawn apart
  expect(absorptionCv('two', book)).toBeCloseTo(cv / Math.SQRT2, 9);
  expect(absorptionCv('guessed', book)).toBeCloseTo(Math.hypot(cv, 0.3), 9);
  expect(absorptionCv('known', book)).toBeCloseTo(0.04, 9);
  expect(['starter', 'lost', 'sugars', 'water', 'nobody'].map((id) => absorptionCv(id, book))).toEqual([null, null, null, null, null]);
}); // prettier-ignore
