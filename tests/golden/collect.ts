import { readFileSync } from 'node:fs';
import {
  actualTotals,
  bakeCard,
  endOfMixing,
  feltObservations,
  stateOf,
  type BakeRecord,
} from '../../src/core/bake';
import { learnAbsorption } from '../../src/core/consistency';
import { learnRise } from '../../src/core/fermentation';
import { fileBook, newestKit, readKitchenFile, sheetOf } from '../../src/core/formats';
import { libraryBook } from '../../src/core/ingredients';
import { runKitchenOf } from '../../src/core/kit';
import { predict } from '../../src/core/predict';
import { quickSlice, riseObservations, sliceQuestion } from '../../src/core/run';

/** What the core says of the whole demo kitchen: every revision, every batch, every bake, and what its marks and feels teach. */
export function collectFigures(): unknown {
  const read = readKitchenFile(JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')), libraryBook);
  if (!read.ok) throw new Error(`The demo kitchen cannot be read: ${JSON.stringify(read.problem)}`);
  const { formulas, bakes } = read.value;
  const kit = newestKit(read.value);
  const merged = fileBook(read.value, libraryBook);
  if (!merged.ok) throw new Error('The demo kitchen’s ingredients make no book');
  const book = merged.value;
  const revision = (key: string, number: number) => {
    const found = formulas.find((formula) => formula.key === key)?.revisions[number - 1]?.formula;
    if (!found) throw new Error(`${key} has no revision ${number}`);
    return found;
  };
  const records = bakes.map((bake) => {
    const formula = revision(bake.formula, bake.revision);
    const sheet = sheetOf(read.value, bake, formula, book);
    if (!sheet.ok) throw new Error(`${bake.key} cannot be planned`);
    const record: BakeRecord = {
      id: bake.key,
      formulaId: bake.formula,
      revision: bake.revision,
      startedAtMs: Date.parse(bake.startedAt),
      sheet: sheet.value,
      events: bake.events.map(({ at, action }, index) => ({ seq: index + 1, atMs: Date.parse(at), action })),
    };
    return { record, formula };
  });
  return {
    formulas: Object.fromEntries(
      formulas.flatMap(({ key, revisions }) =>
        revisions.map(({ formula }, index) => {
          const question = sliceQuestion(formula, book, runKitchenOf(kit, formula));
          return [
            `${key} ${index + 1}`,
            { ...predict(formula, book), inThisKitchen: question && quickSlice(question) },
          ];
        }),
      ),
    ),
    bakes: Object.fromEntries(
      records.map(({ record, formula }) => {
        const state = stateOf(record);
        const { mixedAtMs } = endOfMixing(record.sheet, state);
        const observed = riseObservations(record, formula, book, runKitchenOf(kit, formula));
        return [
          record.id,
          {
            sheet: record.sheet,
            actual: actualTotals(record.sheet, state, book),
            card: bakeCard(record.sheet, state),
            mixedAfterS: mixedAtMs === null ? null : (mixedAtMs - record.startedAtMs) / 1000,
            risen: observed.map(({ points }) => points),
            felt: feltObservations(record, formula, book).map(({ standMin, band }) => ({ standMin, band })),
          },
        ];
      }),
    ),
    learnt: {
      rise: Object.fromEntries(
        formulas.map(({ key }) => [
          key,
          learnRise(
            records
              .filter(({ record }) => record.formulaId === key)
              .flatMap(({ record, formula }) =>
                riseObservations(record, formula, book, runKitchenOf(kit, formula)),
              ),
          ),
        ]),
      ),
      absorption: learnAbsorption(
        records.flatMap(({ record, formula }) => feltObservations(record, formula, book)),
        book,
      ),
    },
  };
}
