import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { line, plainLoaf } from '@/core/formula/testFormulas';
import { show } from '../testKitchen';
import { VesselDialog } from './VesselDialog';

const leavened = () => ({
  ...plainLoaf(),
  stages: [
    ...plainLoaf().stages,
    { id: 'l', kind: 'late' as const, name: '', lines: [line('instant-yeast', 8)] },
  ],
});
function open(lengthUnit: 'cm' | 'in' = 'cm', formula = leavened()) {
  const onTake = jest.fn();
  show(<VesselDialog formula={formula} onTake={onTake} onClose={() => undefined} />, { lengthUnit });
  return onTake;
}
const grams = () => parseFloat(screen.getByTestId('vessel-mass').textContent ?? '');
async function put(name: string, text: string) {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  if (text) await userEvent.paste(text);
}

test('a larger tin takes more, straight sides take more than sloping ones, and the weight is handed on', async () => {
  const onTake = open();
  const sloping = grams();
  await put('Length at the bottom', '');
  await put('Width at the bottom', '');
  const straight = grams();
  expect(straight).toBeGreaterThan(sloping);
  await put('Height', '10');
  expect(grams() / straight).toBeCloseTo(10 / 8, 2);
  expect(screen.getByText(/This dough is likely to end at 1\.\d times its volume/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Use it' }));
  expect(onTake).toHaveBeenCalledWith(grams());
});

test('by the water it holds, by its diameter, and as a disc', async () => {
  open();
  await userEvent.click(screen.getByRole('radio', { name: 'by water' }));
  const small = grams();
  await put('Water it holds to the rim', '3600');
  expect(grams() / small).toBeCloseTo(2, 2);
  await userEvent.click(screen.getByRole('radio', { name: 'round tin' }));
  expect(screen.getByText(/filled to \d+ %/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: 'disc' }));
  const thin = grams();
  await put('Thick, before it rises', '10');
  expect(grams() / thin).toBeCloseTo(2, 1);
  expect(screen.queryByText(/likely to end at/)).toBeNull();
});

test('in inches for who measures in inches, and nonsense is refused at its field', async () => {
  open('in');
  expect(screen.getByRole('textbox', { name: 'Length at the rim' })).toHaveValue('9.45');
  const before = grams();
  await put('Height', '400');
  expect(screen.getByText('From 0.79 to 47.24 in.')).toBeInTheDocument();
  expect(grams()).toBe(before);
  await put('Height', '3.15');
  await put('Width at the bottom', '9');
  expect(screen.getByText('The bottom of a tin is not larger than its rim.')).toBeInTheDocument();
});

test('a dough that does not rise fills its tin nearly to the rim', () => {
  open('cm', plainLoaf());
  expect(screen.getByText(/filled to 95 %/)).toBeInTheDocument();
});
