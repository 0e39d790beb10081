import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyEdit, record, type Formula } from '@/core/formula';
import { libraryBook } from '@/core/ingredients';
import { newStep } from '@/core/method';
import { rollsWithMethod } from '@/core/run/testRuns';
import { startLanes } from '@/workers/lanes';
import type { FromWorker, ToWorker } from '@/workers/protocol';
import { SheetActionsProvider, type SheetActions } from '../sheet/SheetContext';
import { SheetStore } from '../sheet/sheetStore';
import { show } from '../testKitchen';
import { AnswerCard } from '../formula/AnswerCard';
import { RunStore } from '../sheet/runStore';
import { RunEngine } from './RunEngine';
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

function open(formula: Formula = rollsWithMethod(), formulaId: string | null = null) {
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
    formulaId: 'f',
    runs: new RunStore(),
  };
  show(
    <SheetActionsProvider value={actions}>
      <AnswerCard formulaId="f" />
      <RunPanel />
      <RunEngine formulaId={formulaId} />
    </SheetActionsProvider>,
  );
  return { store, settled };
}
const quiet = () => waitFor(() => expect(screen.getByTestId('computing')).toBeEmptyDOMElement());
/** The lower end of a range of times, min: "55 min – 1 h 20", "1 h 05 – 1 h 30", "50–80 min". */
const minutes = (testId: string) => {
  const [, h, ofHour, min] =
    /^(?:(\d+) h(?: (\d+))?|(\d+))/.exec(screen.getByTestId(testId).textContent ?? '') ?? [];
  return h ? 60 * Number(h) + Number(ofHour ?? 0) : Number(min);
};

test('the answers are there, as ranges, with their reasons and the slice', async () => {
  open();
  await screen.findByTestId('run-set');
  await quiet();
  expect(screen.getByTestId('run-ready')).toHaveTextContent(
    /^\d+ min – \d h( \d+)?$|^\d+–\d+ min$|^\d h( \d+)? – \d h( \d+)?$/,
  );
  expect(screen.getByTestId('run-set')).toHaveTextContent(/\d+–\d+ min/);
  expect(screen.getByTestId('run-words')).toHaveTextContent(/It loses \d+(–\d+)? % of its weight/);
  expect(
    screen.getByRole('img', { name: /The slice to expect: [\d.]+ cm high and [\d.]+ cm across/ }),
  ).toBeVisible();
  expect(screen.getByText(/What makes the rise most unsure/)).toBeInTheDocument();
});

test('a step is taken into the hand, made longer and warmer; the method has it and the answers follow', async () => {
  const { store, settled } = open();
  await screen.findByTestId('run-set');
  const before = minutes('run-ready');
  const user = userEvent.setup();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Selected step' }), '3. Proof');
  const hand = screen.getByRole('group', { name: 'Proof' });
  fireEvent.change(within(hand).getByRole('slider', { name: /How warm/ }), { target: { value: '38' } });
  expect(store.state.formula.steps[2]).toMatchObject({ tempC: 38 });
  await waitFor(() => expect(minutes('run-ready')).toBeLessThan(before));
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
  await user.selectOptions(await screen.findByRole('combobox', { name: 'Selected step' }), '4. Bake');
  expect(screen.getByRole('combobox', { name: 'Air in the oven: Bake' })).toHaveValue('dry');
  expect(screen.getByRole('combobox', { name: 'Baked on: Bake' })).toHaveValue('tray');
  await user.selectOptions(screen.getByRole('combobox', { name: 'Baked on: Bake' }), 'on hot steel');
  await user.selectOptions(screen.getByRole('combobox', { name: 'Air in the oven: Bake' }), 'with steam');
  expect(store.state.formula.steps[3]!.heat).toEqual({ on: 'steel', moist: 'steam' });
});

test('a supposition is put beside it and taken away; the formula is not touched', async () => {
  const { store } = open();
  await screen.findByTestId('run-set');
  const user = userEvent.setup();
  const before = store.state.formula;
  await user.click(screen.getByRole('button', { name: 'two small instead of one big' }));
  await waitFor(() => expect(screen.getByTestId('what-if')).toHaveTextContent(/set \d+ min sooner/));
  await user.click(screen.getByRole('button', { name: 'two small instead of one big' }));
  expect(screen.queryByTestId('what-if')).toBeNull();
  expect(store.state.formula).toBe(before);
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

test('what cannot be baked is said in words, what cannot be computed at all teaches', async () => {
  open({ ...rollsWithMethod(), usualYield: { ...rollsWithMethod().usualYield, pieceMassG: 2000 } });
  expect(await screen.findByText(/The bake can’t be calculated/)).toHaveTextContent('400');
  const [mix, shape, , bake] = rollsWithMethod().steps;
  // back under the lid, and a proof nobody timed: both steps are named, and come to hand by a tap
  const twice = [
    { ...bake!, title: 'Open' },
    { ...bake!, id: 'again', title: 'Closed', heat: { moist: 'lid' as const } },
  ];
  open({ ...rollsWithMethod(), steps: [mix!, shape!, newStep('proof', 'proof'), ...twice] });
  const odd = await screen.findByRole('button', { name: 'It is step 5. Closed' });
  fireEvent.click(odd);
  expect(screen.getAllByRole('combobox', { name: 'Selected step' }).at(-1)).toHaveValue('again');
  const proof = screen.getByRole('button', { name: /^3\. Proof: 50 min long, in the room/ });
  fireEvent.click(proof);
  expect(screen.getAllByRole('combobox', { name: 'Selected step' }).at(-1)).toHaveValue('proof');
  open({ ...rollsWithMethod(), steps: [] });
  expect(screen.getByText(/Add steps to the method/)).toBeVisible();
});

test('settings of the piece: shape, tin wall, length; nonsense stays at its field', async () => {
  const { store } = open();
  const user = userEvent.setup();
  await user.click(await screen.findByText(/^Taken as:/));
  await user.selectOptions(screen.getByRole('combobox', { name: 'Shape' }), 'In a tin');
  expect(store.state.formula.bakedAs).toMatchObject({ shape: 'tin', tin: 'dark' });
  await user.selectOptions(screen.getByRole('combobox', { name: 'Tin wall' }), 'glass');
  const length = screen.getByRole('textbox', { name: 'Tin, inner length' });
  await user.type(length, '24{Enter}');
  expect(store.state.formula.bakedAs).toMatchObject({ tin: 'glass', lengthCm: 24, widthCm: null });
  await user.clear(length);
  await user.type(length, '500');
  expect(length).toBeInvalid();
  await user.keyboard('{Escape}');
  expect(store.state.formula.bakedAs!.lengthCm).toBe(24);
  // another shape has another measure: the old one does not stay behind
  await user.selectOptions(screen.getByRole('combobox', { name: 'Shape' }), 'Single rolls');
  expect(store.state.formula.bakedAs).toEqual({
    shape: 'roll',
    lengthCm: null,
    widthCm: null,
    tin: null,
    perLoad: null,
  });
});

test('a probe’s log: the line that cannot be read, a trace that fits no such oven, and one that does', async () => {
  open();
  const user = userEvent.setup();
  await screen.findByTestId('run-set');
  await quiet();
  await user.click(await screen.findByText(/Had a probe in it\?/));
  const log = screen.getByRole('textbox', { name: 'Probe readings' });
  const fit = screen.getByRole('button', { name: 'Fit the oven' });
  expect(fit).toBeDisabled();
  fireEvent.change(log, { target: { value: '0,27\n300,warm' } });
  await user.click(fit);
  expect(screen.getByRole('alert')).toHaveTextContent('Line 2');
  fireEvent.change(log, { target: { value: '0,27\n300,27\n600,27\n900,27\n1200,27\n1500,27' } });
  await user.click(fit);
  await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent('No oven of this kind'));
  fireEvent.change(log, { target: { value: 'min;°C\n0;27\n5;42\n10;70\n15;90\n20;97\n24;98' } });
  await user.click(fit);
  const fitted = await screen.findByTestId('fitted');
  expect(fitted).toHaveTextContent(/° (cooler|hotter) than its dial \(± \d+\) and heats \d+ %/);
  const sent: { kit: { ovens: { fitted: { traces: number } | null }[] } }[] = [];
  global.fetch = jest.fn((_: unknown, init?: RequestInit) => {
    sent.push(JSON.parse(init?.body as string) as (typeof sent)[number]);
    return Promise.resolve({ ok: true, status: 201, json: () => Promise.resolve({}) } as Response);
  });
  await user.click(screen.getByRole('button', { name: 'Use this from now on' }));
  await screen.findByText(/every timeline is calculated with it now/);
  expect(sent[0]!.kit.ovens[0]!.fitted).toMatchObject({ traces: 1 });
});

test('a step’s end is dragged: as far as the pointer goes at the picture’s own scale, never below a minute', async () => {
  const { store, settled } = open();
  const end = await screen.findByRole('slider', { name: 'How long: Bake' });
  Object.assign(end, { setPointerCapture: () => undefined });
  const bakeS = () => store.state.formula.steps.find(({ kind }) => kind === 'bake')!.minS!;
  const drag = (from: number, to: number) => {
    fireEvent(end, new MouseEvent('pointerdown', { bubbles: true, clientX: from }));
    fireEvent(end, new MouseEvent('pointermove', { bubbles: true, clientX: to }));
    fireEvent(end, new MouseEvent('pointerup', { bubbles: true, clientX: to }));
  };
  drag(300, 340);
  const longer = bakeS();
  expect(longer).toBeGreaterThan(1500);
  expect(longer % 60).toBe(0);
  expect(settled).toHaveBeenCalledTimes(1);
  drag(340, 300);
  expect(bakeS()).toBeLessThan(longer);
  drag(300, -9000);
  expect(bakeS()).toBe(60);
  // a pointer that only passes over moves nothing
  fireEvent(end, new MouseEvent('pointermove', { bubbles: true, clientX: 800 }));
  expect(bakeS()).toBe(60);
});

test('what jars taught is used and said; left out, the books stand', async () => {
  const learning = {
    learnt: { vigour: { value: 0.6, cv: 0.1 }, holding: { value: 1.05, cv: 0.1 } },
    marks: 5,
    days: 2,
    miss: 0.03,
  };
  const slices = {
    learnt: { form: Math.log(0.8), pores: 0, seen: 0, evenness: 0, denseLine: 0 },
    form: { value: 0.8, low: 0.75, high: 0.86 },
    bakes: 3,
    missBefore: 0.21,
    miss: 0.06,
  };
  const asked: string[] = [];
  global.fetch = jest.fn((path: string) => {
    asked.push(path);
    return Promise.resolve({
      ok: true,
      status: 200,
      json: () => Promise.resolve({ learning, slices }),
    } as Response);
  }) as unknown as typeof fetch;
  open(rollsWithMethod(), 'f1');
  expect(await screen.findByTestId('learnt')).toHaveTextContent(
    'what 5 marks at the bench taught: compared with a typical dough this one rises × 0.6 (± 13 %) as fast and holds × 1.05 (± 13 %) as much gas. The marks lie 3 % of its volume from the curve. By the pictures of 3 cuts it stands × 0.80 as high for its width as drawn from the books (0.75 to 0.86). That was off by 21 % before, and is by 6 % when each cut is foretold from the others.',
  );
  expect(asked).toEqual(['/api/k/test/formulas/f1/learnt']);
  await screen.findByTestId('run-set');
  await quiet();
  const taught = minutes('run-ready');
  await userEvent.click(screen.getByRole('checkbox', { name: /Use what 5 marks/ }));
  await waitFor(() => expect(minutes('run-ready')).toBeLessThan(taught));
});
