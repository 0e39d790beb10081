import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyEdit, record, type Formula } from '@/core/formula';
import { libraryBook } from '@/core/ingredients';
import { rollsWithMethod } from '@/core/run/testRuns';
import { startLanes } from '@/workers/lanes';
import type { FromWorker, ToWorker } from '@/workers/protocol';
import { SheetActionsProvider, type SheetActions } from '../formula/SheetContext';
import { SheetStore } from '../formula/sheetStore';
import { show } from '../testKitchen';
import { RunPanel } from './RunPanel';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

// the worker's own code, without a thread of its own
class LaneWorker {
  onmessage: ((event: { data: FromWorker }) => void) | null = null;
  onerror = null;
  private hear = startLanes(
    (message) => this.onmessage?.({ data: message }),
    () => new Promise((resolve) => setTimeout(resolve)),
  );
  postMessage(message: ToWorker) {
    this.hear(message);
  }
  terminate() {}
}
jest.mock('@/workers/makeWorker', () => ({ makeWorker: () => new LaneWorker() }));
beforeAll(() => {
  global.ResizeObserver = class {
    constructor(private told: ResizeObserverCallback) {}
    observe() {
      this.told([{ contentRect: { width: 900 } } as ResizeObserverEntry], this);
    }
    unobserve() {}
    disconnect() {}
  };
});

function open(formula: Formula = rollsWithMethod()) {
  const store = new SheetStore(formula, libraryBook);
  const settled = jest.fn();
  const actions: SheetActions = {
    store,
    edit: (change, key) => {
      const made = applyEdit(store.state.formula, change, libraryBook);
      if (!made.ok) return made.problem;
      store.put(record(store.state.history, made.value, key ?? null));
      return null;
    },
    settle: settled,
    takeBack: () => undefined,
  };
  show(
    <SheetActionsProvider value={actions}>
      <RunPanel />
    </SheetActionsProvider>,
  );
  return { store, settled };
}
const quiet = () =>
  waitFor(() => expect(screen.getByTestId('computing')).toBeEmptyDOMElement(), { timeout: 20_000 });
const minutes = (testId: string) => Number(/\d+/.exec(screen.getByTestId(testId).textContent ?? '')?.[0]);

test('the answers are there, as ranges, with their reasons and the slice', async () => {
  open();
  await screen.findByTestId('run-set', undefined, { timeout: 20_000 });
  await quiet();
  expect(screen.getByTestId('run-ready')).toHaveTextContent(/^\d+ min – \d h \d+$|^\d+–\d+ min$/);
  expect(screen.getByTestId('run-set')).toHaveTextContent(/\d+–\d+ min/);
  expect(screen.getByTestId('run-words')).toHaveTextContent(/It loses \d+(–\d+)? % of its weight/);
  expect(screen.getByRole('img', { name: /Section of the baked piece: \d+ mm high/ })).toBeVisible();
  expect(screen.getByText(/What makes the rise most unsure/)).toBeInTheDocument();
});

test('a step is taken into the hand, made longer and warmer; the method has it and the answers follow', async () => {
  const { store, settled } = open();
  await screen.findByTestId('run-set', undefined, { timeout: 20_000 });
  const before = minutes('run-ready');
  const user = userEvent.setup();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Step in the hand' }), '3. Proof');
  const hand = screen.getByRole('group', { name: 'Proof' });
  fireEvent.change(within(hand).getByRole('slider', { name: /How warm/ }), { target: { value: '38' } });
  expect(store.state.formula.steps[2]).toMatchObject({ tempC: 38 });
  await waitFor(() => expect(minutes('run-ready')).toBeLessThan(before), { timeout: 20_000 });
  fireEvent.change(within(hand).getByRole('slider', { name: /How long/ }), { target: { value: '4800' } });
  expect(store.state.formula.steps[2]).toMatchObject({ minS: 4800, maxS: null });

  const end = screen.getByRole('slider', { name: 'How long: Bake' });
  end.focus();
  await user.keyboard('{ArrowLeft}{ArrowLeft}');
  expect(store.state.formula.steps[3]).toMatchObject({ minS: 1380 });
  expect(settled).toHaveBeenCalled();
});

test('how a bake heats is shown as it was read, and can be set', async () => {
  const { store } = open();
  const user = userEvent.setup();
  await user.selectOptions(await screen.findByRole('combobox', { name: 'Step in the hand' }), '4. Bake');
  expect(screen.getByRole('combobox', { name: 'Air in the oven: Bake' })).toHaveValue('dry');
  expect(screen.getByRole('combobox', { name: 'Lies on: Bake' })).toHaveValue('tray');
  await user.selectOptions(screen.getByRole('combobox', { name: 'Lies on: Bake' }), 'on hot steel');
  await user.selectOptions(screen.getByRole('combobox', { name: 'Air in the oven: Bake' }), 'with steam');
  expect(store.state.formula.steps[3]!.heat).toEqual({ on: 'steel', moist: 'steam' });
});

test('a supposition is put beside it and taken away; the sheet is not touched', async () => {
  const { store } = open();
  await screen.findByTestId('run-set', undefined, { timeout: 20_000 });
  const user = userEvent.setup();
  const kept = store.state.formula;
  await user.click(screen.getByRole('button', { name: 'two small instead of one big' }));
  await waitFor(() => expect(screen.getByTestId('what-if')).toHaveTextContent(/set \d+ min sooner/), {
    timeout: 20_000,
  });
  await user.click(screen.getByRole('button', { name: 'two small instead of one big' }));
  expect(screen.queryByTestId('what-if')).toBeNull();
  expect(store.state.formula).toBe(kept);
});

test('another school puts its own steps into the method, with times', async () => {
  const { store } = open();
  const user = userEvent.setup();
  await user.click(await screen.findByText('Let it rise another way'));
  await user.click(screen.getByRole('button', { name: 'Cold hold' }));
  await user.click(screen.getByRole('button', { name: 'Put this into the method' }));
  const kinds = store.state.formula.steps.map((step) => step.kind);
  expect(kinds).toEqual(['mix', 'rest', 'shape', 'chill', 'proof', 'bake', 'cool']);
  expect(store.state.formula.steps[3]!.minS).toBe(12 * 3600);
  expect(store.state.formula.steps[4]!.until).toMatch(/^risen by about \d+ %$/);
});

test('what cannot be baked is said in words, what cannot be reckoned at all teaches', async () => {
  open({ ...rollsWithMethod(), usualYield: { ...rollsWithMethod().usualYield, pieceMassG: 2000 } });
  expect(
    await screen.findByText(/The bake can’t be reckoned/, undefined, { timeout: 20_000 }),
  ).toHaveTextContent('400');
  open({ ...rollsWithMethod(), steps: [] });
  expect(screen.getByText(/Steps in the method above/)).toBeVisible();
});
