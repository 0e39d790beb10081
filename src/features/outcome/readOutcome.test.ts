import { emptyOutcome } from '@/core/bake';
import { parseMassG, parseTemperatureC } from '@/core/units';
import { readOutcome } from './readOutcome';

const units = {
  parseMass: (text: string) => parseMassG(text, 'oz' as const),
  parseTemperature: (text: string) => parseTemperatureC(text, 'F' as const),
};
const text = { ...emptyOutcome, pieces: '', massBeforeG: '', massAfterG: '', coreTempC: '' };

test('reads the form in the reader’s units; what is left empty stays open', () => {
  const { outcome, faults } = readOutcome(
    { ...text, pieces: '8', massBeforeG: '24', coreTempC: '207' },
    units,
  );
  expect(faults).toEqual([]);
  expect(outcome).toMatchObject({ pieces: 8, massAfterG: null });
  expect(outcome?.massBeforeG).toBeCloseTo(680.4, 1);
  expect(outcome?.coreTempC).toBeCloseTo(97.2, 1);
});

test('every fault is told at its own field, and nothing comes out', () => {
  const { outcome, faults } = readOutcome(
    {
      ...text,
      pieces: '🍞',
      massBeforeG: '600 g',
      massAfterG: '680 g',
      coreTempC: '5000 C',
      words: 'x'.repeat(3000),
    },
    units,
  );
  expect(outcome).toBeNull();
  expect(faults.map(({ field, problem }) => `${field}:${problem.code}`).sort()).toEqual([
    'coreTempC:tooLarge',
    'massAfterG:heavierThanBefore',
    'pieces:notANumber',
    'words:tooLong',
  ]);
});
