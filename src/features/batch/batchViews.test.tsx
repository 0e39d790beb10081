import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { eightRolls, loafSheet } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { show } from '../testKitchen';
import { BatchQuestion } from './BatchQuestion';
import { BatchSheetView, leftOverWords, roundingWords } from './BatchSheetView';
import { requestOf, type BatchQuery } from './useBatchQuery';

const query: BatchQuery = {
  mode: 'pieces', pieces: 8, each: 85, weighed: 'dough', bakeLoss: 10, bowlLoss: 0, counts: '', factor: 1, line: 'water', have: 400,
}; // prettier-ignore

function asking(part: Partial<BatchQuery> = {}, massUnit: 'g' | 'oz' = 'g') {
  const changes: Partial<BatchQuery>[] = [];
  show(
    <BatchQuestion
      formula={plainLoaf()}
      query={{ ...query, ...part }}
      onChange={(change) => changes.push(change)}
    />,
    { massUnit },
  );
  return changes;
}
async function typeInto(name: string, text: string) {
  const cell = screen.getByRole('textbox', { name });
  await userEvent.tripleClick(cell);
  await userEvent.paste(text);
}

test('each question changes its own part; what can’t be is refused at its field', async () => {
  const changes = asking();
  await typeInto('Number of pieces', '12');
  await typeInto('Weight of a piece', '0.1 kg');
  await typeInto('Bake loss', '12 %');
  expect(changes).toEqual([{ pieces: 12 }, { each: 100 }, { bakeLoss: 12 }]);
  changes.length = 0;
  await typeInto('Number of pieces', '2.5');
  expect(screen.getByText('Whole numbers only.')).toBeInTheDocument();
  expect(changes.at(-1)).toEqual({ pieces: 8 });
  await typeInto('Bowl loss', '99');
  expect(screen.getByText('At most 60 %.')).toBeInTheDocument();
  await typeInto('Weight of a piece', '21 kg');
  expect(screen.getByText('At most 20 kg.')).toBeInTheDocument();
  // whatever was asked of the batch on the way to a refusal was what had been asked before
  expect(
    changes.every((change) =>
      Object.entries(change).every(([part, value]) => query[part as keyof BatchQuery] === value),
    ),
  ).toBe(true);
});

test('by a factor, and by what there is, in the reader’s unit', async () => {
  const changes = asking({ mode: 'factor' });
  await typeInto('Factor', '× 1,5');
  expect(changes).toEqual([{ factor: 1.5 }]);
  document.body.replaceChildren();
  const ounces = asking({ mode: 'fixed' }, 'oz');
  await userEvent.selectOptions(screen.getByRole('combobox'), 'Tapioca starch');
  await typeInto('What I have of it', '10');
  expect(ounces[0]).toEqual({ line: 'tapioca-starch' });
  expect(ounces[1]?.have).toBeCloseTo(283.5, 1);
});

test('a query is the request it stands for', () => {
  expect(requestOf(query)).toEqual(eightRolls);
  expect(requestOf({ ...query, mode: 'factor', factor: 2 })).toEqual({
    mode: 'factor',
    factor: 2,
    pieceMassG: 85,
    bowlLossPercent: 0,
  });
  expect(requestOf({ ...query, mode: 'fixed' })).toEqual({
    mode: 'fixed',
    lineId: 'water',
    massG: 400,
    pieceMassG: 85,
    bowlLossPercent: 0,
  });
});

test('a scrap is a scrap, what is missing is missing, and much that stays unused is said', () => {
  const mass = (massG: number) => `${Math.round(massG)} g`;
  const words = (count: number, doughG: number, usableDoughG: number) =>
    leftOverWords(
      {
        ...loafSheet(85),
        usableDoughG,
        pieces: { count, doughG, remainderG: Math.max(0, usableDoughG - count * doughG), bakedG: null },
      },
      mass,
    );
  expect(words(8, 85, 680.9)).toBe('Nothing left over.');
  expect(words(8, 85, 686)).toBe('A scrap of 6 g is left over.');
  expect(words(8, 85, 720)).toBe('And a small one of 40 g.');
  expect(words(1, 400, 500)).toBe('And a small one of 100 g, 20 % of the dough.');
  expect(words(2, 85, 500)).toBe('330 g of the dough is left over: enough for more pieces.');
  expect(words(8, 100, 680)).toBe(
    'The pieces want 120 g more dough than there is: make them 85 g each, or one fewer.',
  );
});

test('the formula tells the yield, what is over, and what the scale did to the dough', () => {
  const plan = (stepG: 1 | 0.01, factor = 0.3) => loafSheet(85, [{ upToG: 100_000, stepG }], factor);
  show(<BatchSheetView sheet={plan(1)} />);
  expect(screen.getByTestId('yield')).toHaveTextContent('3 × 85 g of dough');
  expect(screen.getByText(/And a small one of 39 g/)).toBeInTheDocument();
  expect(screen.getByTestId('weigh-salt')).toHaveTextContent('3g');
  expect(roundingWords(plan(0.01))).toBe(
    'Rounded to the scale: hydration, salt and binder stay as they are.',
  );
  expect(roundingWords(plan(1, 0.25))).toMatch(
    /salt 2.00 → 2.40 %.* Salt moved most, by 20 %: a finer scale would help\.$/,
  );
});
