import { emptyOutcome, type BakeAction, type BakeRecord } from '../bake';
import { loafSheet } from '../batch/testBatch';
import { logCsv, logCsvHead } from '../formats/logCsv';
import { libraryBook } from '../ingredients';
import { seededRandom } from '../numeric/seededRandom';
import { LOG_COLUMNS, logRow, whatGoesWith } from '.';

const bake = (...actions: BakeAction[]): BakeRecord => ({
  id: 'b', formulaId: 'f', revision: 3, startedAtMs: Date.UTC(2026, 9, 1, 8), sheet: loafSheet(),
  events: actions.map((action, index) => ({ seq: index + 1, atMs: Date.UTC(2026, 9, 1, 9, index), action, ...(index === 0 && { by: 'Imke' }) })),
}); // prettier-ignore

test('a bake is a line with every column, numbers as numbers, what nobody said left open', () => {
  const tasting = { taster: 'Anna', occasion: 'fresh' as const, scores: { gumminess: 4, verdict: 5 }, words: '', rungId: null, blind: false };
  const row = logRow(bake(
    { type: 'noted', text: 'humid' },
    { type: 'closed', outcome: { ...emptyOutcome, massBeforeG: 1000, massAfterG: 880, again: 'yes', words: '=1+1' } },
    { type: 'tasted', tastingId: '7c3f0d55-3b55-4f0c-8a2b-000000000001', tasting },
  ), libraryBook);
  expect(Object.keys(row).sort()).toEqual([...LOG_COLUMNS].sort());
  expect(row).toMatchObject({ version: 3, startedAt: '2026-10-01T08:00:00.000Z', lostPercent: 12, 'tasted.gumminess': 4, 'tasted.height': null, tasters: 1, bakeAgain: 'yes', by: 'Imke', roomC: null });
  expect(typeof row.hydrationPercent).toBe('number');
  const table = logCsvHead() + logCsv([row, row]);
  const lines = table.trimEnd().split('\r\n');
  expect(lines).toHaveLength(3);
  expect(new Set(lines.map((line) => line.split(',').length))).toEqual(new Set([LOG_COLUMNS.length]));
  // a spreadsheet runs nothing that was written in a note
  expect(lines[1]).toContain("'=1+1");
  expect(logCsv([])).toBe('');
}); // prettier-ignore

describe('what goes with better scores', () => {
  const made = {
    hydrationPercent: null,
    saltPercent: null,
    binderPercent: null,
    yeastPercent: null,
    pieceDoughG: null,
    roomC: null,
    doughC: null,
    riseMin: null,
    heatMin: null,
    heatC: null,
    coolMin: null,
  };
  const of = (part: Partial<Record<keyof typeof made, number>>, score: number | null) => ({ figures: { made: { ...made, ...part } }, score }); // prettier-ignore
  test('a worked example: Welch’s interval for two halves of three', () => {
    const [found] = whatGoesWith([1, 2, 3, 4, 5, 6].map((room, index) => of({ roomC: room }, [2, 3, 2, 4, 5, 4][index]!)));
    // means 7/3 and 13/3; variances 1/3 each, over three: their sum 2/9, 1.2816 of its root
    expect(found).toMatchObject({ figure: 'roomC', lower: { upTo: 3, count: 3 }, upper: { from: 4, count: 3 }, isChance: false });
    expect(found!.difference.value).toBeCloseTo(2, 9);
    expect(found!.difference.low).toBeCloseTo(2 - 1.2816 * Math.sqrt(2 / 9), 3);
  }); // prettier-ignore
  test('scores that are all alike are not sure for that; too few, or never different, say nothing', () => {
    const alike = [1, 2, 3, 4, 5, 6].map((room) => of({ roomC: room }, room > 3 ? 4 : 3.6));
    expect(whatGoesWith(alike)[0]!.isChance).toBe(true);
    expect(whatGoesWith(alike.slice(0, 5))).toEqual([]);
    expect(whatGoesWith(alike.map(({ score }) => of({ roomC: 21 }, score)))).toEqual([]);
    expect(whatGoesWith(alike.map(({ figures }) => ({ figures, score: null })))).toEqual([]);
  });
  test('where nothing goes with anything, it is called worth a look about as often as eight of ten says', () => {
    const random = seededRandom(4);
    let called = 0;
    for (let round = 0; round < 400; round += 1) {
      const bakes = Array.from({ length: 14 }, () => of({ roomC: 18 + 6 * random() }, 1 + 4 * random()));
      if (!whatGoesWith(bakes)[0]!.isChance) called += 1;
    }
    expect(called / 400).toBeGreaterThan(0.1);
    expect(called / 400).toBeLessThan(0.3);
  });
});
