import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Formula } from '@/core/formula';
import { plainLoaf } from '@/core/formula/testFormulas';
import type { SaveFormula } from '@/core/requests';
import { show } from '../testKitchen';
import { FormulaFrame } from './FormulaFrame';
import { FormulaPlace } from './FormulaPlace';
import { MethodPlace } from './MethodPlace';
import { NotesPlace } from './NotesPlace';
import { browserQueue } from '../queue/browserQueue';

const push = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push }),
  usePathname: () => '/k/test/formulas/f',
  useParams: () => ({ id: 'f' }),
}));
// the day is computed in a worker, which is not what is asked here
jest.mock('../run/RunEngine', () => ({ RunEngine: () => null }));

/** A server that keeps revisions as the real one does; `down` answers nothing, `ahead` saves behind the page's back, `until` is waited for with what is sent. */
function fakeServer() {
  const revisions: Formula[] = [plainLoaf()];
  const posts: { path: string; body: unknown }[] = [];
  const server = {
    revisions,
    posts,
    down: false,
    until: null as Promise<void> | null,
    ahead: (formula: Formula) => revisions.push(formula),
  };
  const answer = (status: number, data: unknown) =>
    Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(data) } as Response);
  global.fetch = jest.fn((path: string, init?: { body?: string }) => {
    if (server.down) return Promise.reject(new TypeError('Failed to fetch'));
    if (init?.body === undefined) {
      if (path.endsWith('/revisions')) {
        const list = revisions.map((formula, index) => ({ number: index + 1, savedAtMs: 0, formula }));
        return answer(200, list.reverse());
      }
      return answer(200, {
        id: 'f',
        revision: revisions.length,
        savedAtMs: 0,
        archivedAtMs: null,
        formula: revisions.at(-1),
      });
    }
    const body = JSON.parse(init.body) as SaveFormula;
    posts.push({ path, body });
    if (!path.endsWith('/revisions')) return answer(201, { id: 'copy' });
    const save = () => {
      if (body.seen !== revisions.length)
        return answer(409, { error: { kind: 'stale', revision: revisions.length, savedAtMs: 0 } });
      revisions.push(body.formula);
      return answer(200, { id: 'f', revision: revisions.length, savedAtMs: 0 });
    };
    return server.until ? server.until.then(save) : save();
  }) as unknown as typeof fetch;
  return server;
}

const loaded = { id: 'f', revision: 1, savedAtMs: 0, archivedAtMs: null };
/** Open, and what carries rows is there: until then they are drawn once more. */
async function open(formula = plainLoaf(), revision = 1) {
  const shown = show(
    <FormulaFrame loaded={{ ...loaded, revision, formula }}>
      <FormulaPlace />
      <MethodPlace />
      <NotesPlace />
    </FormulaFrame>,
  );
  await waitFor(() => expect(document.querySelector('[data-carry="false"]')).toBeNull());
  return shown;
}
const water = () => screen.getByRole('textbox', { name: 'Water, weight' });
const state = () => screen.getByTestId('save-status').dataset.state;
const gramsOf = (formula: Formula | undefined, id: string) =>
  formula?.stages.flatMap((stage) => stage.lines).find((line) => line.id === id)?.massG;
async function type(cell: HTMLElement, text: string) {
  await userEvent.clear(cell);
  await userEvent.paste(text);
}

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  push.mockClear();
});

test('what is typed shows at once, is saved by itself, and a batch waits for it', async () => {
  const server = fakeServer();
  let arrive: () => void = () => undefined;
  server.until = new Promise((resolve) => (arrive = resolve));
  await open();
  await type(water(), '450');
  expect(screen.getByRole('textbox', { name: 'Water, percent of the flours' })).toHaveValue('90');
  expect(screen.getByTestId('hydration-poured')).toHaveTextContent('90.0 %');
  await userEvent.click(screen.getByRole('button', { name: 'Make a batch' }));
  // on its way, and the page is not left before it has arrived
  await waitFor(() => expect(server.posts).toHaveLength(1));
  expect([push.mock.calls, server.revisions.length]).toEqual([[], 1]);
  arrive();
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/test/formulas/f/batch'));
  // what it was, and one change of it
  expect(server.revisions.map((each) => gramsOf(each, 'water'))).toEqual([400, 450]);
});

test('a change taken back at once leaves nothing to keep, and a batch can be made', async () => {
  const server = fakeServer();
  await open();
  const [takeOut, undo] = ['Remove Salt', 'Undo (Ctrl Z)'].map((name) =>
    screen.getByRole('button', { name }),
  );
  // both within the pause before a save, however busy the machine is
  fireEvent.click(takeOut!);
  fireEvent.click(undo!);
  await userEvent.click(screen.getByRole('button', { name: 'Make a batch' }));
  await waitFor(() => expect(push).toHaveBeenCalled());
  expect(state()).toBe('saved');
  expect(server.posts).toEqual([]);
});

test('with the server away typing goes on, and no batch is made of what is not saved', async () => {
  const server = fakeServer();
  await open();
  await waitFor(() => expect(fetch).toHaveBeenCalled());
  server.down = true;
  await type(water(), '430');
  await waitFor(() => expect(state()).toBe('unreachable'));
  await userEvent.click(screen.getByRole('button', { name: 'Make a batch' }));
  expect(
    await screen.findByText(/not saved yet, so there is nothing to make a batch of/),
  ).toBeInTheDocument();
  expect(push).not.toHaveBeenCalled();
  server.down = false;
  await waitFor(() => expect(state()).toBe('saved'));
  expect(server.revisions).toHaveLength(2);
});

/** What an earlier page of this tab had written down and not sent. */
function leave(seen: number, formula: Formula) {
  const queue = browserQueue();
  const body = { requestId: crypto.randomUUID(), seen, formula };
  void queue.put({ id: `sheet:f@test:${queue.tab}`, lane: 'sheet:f@test', what: '', body });
  return queue;
}

test('what a closed page had not saved comes back, once, and can be undone', async () => {
  const server = fakeServer();
  const draft = plainLoaf();
  draft.stages[0]!.lines.find((line) => line.id === 'water')!.massG = 470;
  const queue = leave(1, draft);
  await open();
  await waitFor(() => expect(water()).toHaveValue('470'));
  expect(screen.getByText(/is back on the page/)).toBeInTheDocument();
  await waitFor(() => expect(gramsOf(server.revisions.at(-1), 'water')).toBe(470));
  await waitFor(() => expect(queue.snapshot).toEqual([]));
  await userEvent.click(screen.getByRole('button', { name: 'Undo (Ctrl Z)' }));
  expect(water()).toHaveValue('400');
});

test('a draft the server had taken after all is forgotten without a word', async () => {
  fakeServer();
  const queue = leave(1, plainLoaf());
  await open();
  await waitFor(() => expect(queue.snapshot).toEqual([]));
  expect(screen.queryByText(/is back on the page/)).toBeNull();
  expect(state()).toBe('saved');
});

describe('two hands on one sheet', () => {
  async function meetConflict() {
    const server = fakeServer();
    await open();
    await waitFor(() => expect(fetch).toHaveBeenCalled());
    server.ahead({ ...plainLoaf(), name: 'Theirs' });
    await type(water(), '440');
    const banner = await screen.findByRole('alert');
    expect(banner).toHaveTextContent('changed somewhere else (version 2)');
    expect(await within(banner).findByText('Water: 400 g → 440 g')).toBeInTheDocument();
    expect(server.revisions).toHaveLength(2);
    return {
      server,
      choose: (name: string) => userEvent.click(within(banner).getByRole('button', { name })),
    };
  }

  test('theirs goes on', async () => {
    const { server, choose } = await meetConflict();
    await choose('Go on with theirs');
    await waitFor(() =>
      expect(screen.getByRole('textbox', { name: 'Name of the formula' })).toHaveValue('Theirs'),
    );
    expect(water()).toHaveValue('400');
    expect(server.revisions).toHaveLength(2);
  });

  test('mine goes on top, theirs stays beneath', async () => {
    const { server, choose } = await meetConflict();
    await choose('Save mine as the newest');
    await waitFor(() => expect(server.revisions).toHaveLength(3));
    expect(server.revisions.map((formula) => [formula.name, gramsOf(formula, 'water')])).toEqual([
      ['Plain loaf', 400],
      ['Theirs', 400],
      ['Plain loaf', 440],
    ]);
  });

  test('mine becomes a formula of its own', async () => {
    const { server, choose } = await meetConflict();
    await choose('Save mine as a formula of its own');
    await waitFor(() => expect(push).toHaveBeenCalledWith('/k/test/formulas/copy'));
    const copy = server.posts.at(-1)?.body as { formula: Formula };
    expect([copy.formula.name, gramsOf(copy.formula, 'water')]).toEqual(['Plain loaf (mine)', 440]);
  });
});

test('the method: a step’s time, temperature and cue are typed in, and what cannot be is refused', async () => {
  const server = fakeServer();
  await open();
  await type(screen.getByRole('textbox', { name: 'Step 2, time' }), '40–55');
  await type(screen.getByRole('textbox', { name: 'Step 2, temperature' }), '95');
  expect(screen.getByRole('alert')).toHaveTextContent('At most 50 °C.');
  await userEvent.keyboard('{Escape}');
  await type(screen.getByRole('textbox', { name: 'Step 2, until' }), 'it jiggles');
  await userEvent.click(screen.getByRole('button', { name: 'Step 2 is hands-off' }));
  await userEvent.click(screen.getByRole('button', { name: 'Remove step 1' }));
  await waitFor(() => expect(server.revisions.length).toBeGreaterThan(1));
  await waitFor(() => expect(state()).toBe('saved'));
  expect(server.revisions.at(-1)?.steps).toMatchObject([
    { kind: 'proof', minS: 2400, maxS: 3300, tempC: 28, until: 'it jiggles', handsOn: true },
  ]);
});
