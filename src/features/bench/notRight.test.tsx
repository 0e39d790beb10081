import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { newStep } from '@/core/method';
import { show, testBake, testBench } from '../testKitchen';
import { NotRightDialog } from './NotRightDialog';

// any step of the made-up bake
const bake = { ...newStep('bake', 'proof'), tempC: 215 };

function opened() {
  const { bench, taps } = testBench(testBake([{ type: 'timerStarted', stepId: 'proof', durationS: 2400 }]));
  const onClose = jest.fn();
  show(<NotRightDialog step={bake} bench={bench} tookS={1800} ranS={610} onClose={onClose} />);
  return { taps, onClose };
}

test('dark on top: nothing is told without its core; with it the oven, the time and the core that counts, by one press', async () => {
  const { taps, onClose } = opened();
  await userEvent.click(await screen.findByRole('button', { name: 'Dark on top, not done inside' }));
  expect(screen.getByText('Read its core first: nothing else tells.')).toBeVisible();
  await userEvent.type(screen.getByTestId('not-right-core'), '91');
  expect(screen.getByTestId('remedy')).toHaveTextContent('8 min more');
  expect(screen.getByTestId('remedy')).toHaveTextContent('Cover it loosely, and set the oven to 195 °C.');
  await userEvent.click(screen.getByRole('button', { name: 'Look again in 8 min' }));
  expect(taps).toEqual([
    { type: 'reading', of: 'core', tempC: 91, stepId: 'proof' },
    { type: 'setAnew', stepIds: ['proof'], durationS: 600 + 480, tempC: 195 },
    { type: 'notYet', stepId: 'proof', againS: 480 },
  ]);
  expect(onClose).toHaveBeenCalledTimes(1);
});

test('an oven that was cold asks for how long; what reads done is taken out, and nothing is set', async () => {
  const { taps } = opened();
  await userEvent.click(await screen.findByRole('button', { name: 'The oven had gone cold' }));
  expect(screen.queryByTestId('remedy')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: '20 min' }));
  expect(screen.getByTestId('remedy')).toHaveTextContent('10 min more');
  await userEvent.click(screen.getByRole('button', { name: 'Look again in 10 min' }));
  expect(taps).toEqual([{ type: 'notYet', stepId: 'proof', againS: 600 }]);
  await userEvent.click(screen.getByRole('button', { name: 'Back' }));
  await userEvent.click(screen.getByRole('button', { name: 'Dark on top, not done inside' }));
  await userEvent.type(screen.getByTestId('not-right-core'), '98');
  expect(screen.getByText(/take it out/)).toBeVisible();
});
