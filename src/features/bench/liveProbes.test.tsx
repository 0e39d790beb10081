import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { newStep } from '@/core/method';
import { InstrumentBoard } from '../instruments/instrumentBoard';
import { InstrumentsProvider } from '../instruments/InstrumentsProvider';
import { START_MS, show, testBake, testBench } from '../testKitchen';
import { LiveProbes } from './LiveProbes';

/** The loaf in its oven, with a probe in it that shows so much; another lies in the dough, which is no matter there. */
function baking(coreC: number) {
  const plain = testBake();
  const step = newStep('bake', 'bake');
  const bake = { ...plain, sheet: { ...plain.sheet, steps: [...plain.sheet.steps, step] } };
  const { bench, taps } = testBench(bake);
  const board = new InstrumentBoard(() => START_MS);
  board.put(
    (['coreProbe', 'doughProbe'] as const).map((kind, at) => ({
      id: kind,
      name: kind,
      kind,
      stepG: null,
      addedAtMs: 0,
      last: { atMs: START_MS - 9000, value: at === 0 ? coreC : 27, state: 'steady' },
    })),
  );
  show(
    <InstrumentsProvider board={board}>
      <LiveProbes step={step} bench={bench} nowMs={START_MS} isMixed />
    </InstrumentsProvider>,
  );
  return { taps, step };
}

test('a core that is not there is shown beside what it has to reach; pressed, it is saved, and what that means is said', async () => {
  const { taps, step } = baking(88.04);
  expect(screen.getAllByRole('button')).toHaveLength(1);
  expect(screen.getByRole('button')).toHaveTextContent('of 97 °C');
  await userEvent.click(screen.getByRole('button', { name: 'Save: Core, 88 °C' }));
  expect(taps).toEqual([{ type: 'reading', of: 'core', tempC: 88, stepId: step.id }]);
  expect(screen.getByTestId('reading-answer')).toHaveTextContent('−9 °C');
  await userEvent.click(screen.getByRole('button', { name: /Not baked yet/ }));
  expect(taps[1]).toMatchObject({ type: 'notYet', stepId: step.id });
});

test('a core that is there says so, also to whoever does not look; saving it asks nothing', async () => {
  const { taps } = baking(97.3);
  expect(screen.getByRole('status')).toHaveTextContent('The core is at 97 °C.');
  await userEvent.click(screen.getByRole('button', { name: /Save: Core/ }));
  expect(taps).toHaveLength(1);
  expect(screen.queryByTestId('reading-answer')).toBeNull();
});
