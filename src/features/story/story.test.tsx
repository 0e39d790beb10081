import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Formula } from '@/core/formula';
import { plainLoaf } from '@/core/formula/testFormulas';
import { show } from '../testKitchen';
import type { Revision, Story } from './story';
import { StoryPage } from './StoryPage';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

const withWater = (massG: number): Formula => ({
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage) => ({
    ...stage,
    lines: stage.lines.map((line) => (line.id === 'water' ? { ...line, massG } : line)),
  })),
});
const revision = (number: number, massG: number, baked: Revision['baked'] = null) => ({
  baked,
  number,
  savedAtMs: Date.UTC(2026, 9, number, 8),
  formula: withWater(massG),
});
const story: Story = {
  branch: { id: 'elder', name: 'Elder loaf', revision: 4 },
  revisions: [
    revision(5, 420),
    revision(4, 400, { bakes: 3, crumb: 3.5, crust: 4, chew: null, flavour: null }),
    revision(3, 390),
  ],
  branches: [{ id: 'younger', name: 'Younger loaf', revision: 4 }],
  moreBranches: 3,
};

function server(answers: Record<string, { status: number; body: unknown }>) {
  const sent: { path: string; body: Record<string, unknown> }[] = [];
  global.fetch = jest.fn((path: string, init?: { body?: string }) => {
    sent.push({ path, body: JSON.parse(init?.body ?? '{}') as Record<string, unknown> });
    const { status, body } = answers[path] ?? { status: 404, body: {} };
    return Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  return sent;
}
test('a version says what came of it at the bench', () => {
  open();
  expect(screen.getAllByTestId('baked').map(({ textContent }) => textContent)).toEqual([
    'baked 3 times, crumb 3.5, crust 4',
  ]);
});

const open = () => show(<StoryPage formulaId="f" name="Plain loaf" head={5} story={story} page={3} />);
const entry = (number: number) =>
  screen.getAllByRole('listitem').find((item) => item.textContent?.startsWith(`Version ${number}`))!;

beforeEach(() => push.mockClear());

test('each revision by what it changed, where it came from, what came of it', () => {
  server({});
  open();
  expect(entry(5)).toHaveTextContent('water 80 → 84 %');
  expect(entry(5)).toHaveTextContent('as it is now');
  expect(entry(4)).toHaveTextContent('water 78 → 80 %');
  expect(within(entry(4)).getByRole('link', { name: 'Younger loaf' })).toHaveAttribute(
    'href',
    '/k/test/formulas/younger',
  );
  expect(screen.getByRole('link', { name: 'Elder loaf' })).toHaveAttribute(
    'href',
    '/k/test/formulas/elder/story',
  );
  expect(entry(3)).toHaveTextContent('What came before is further down.');
  expect(screen.getByText(/3 older copies are not listed here/)).toBeInTheDocument();
});

test('any two are compared, oldest first whichever was ticked first; a third takes the place of the first', async () => {
  server({});
  open();
  const tick = (number: number) =>
    userEvent.click(screen.getByRole('checkbox', { name: new RegExp(`Version ${number}`) }));
  await tick(5);
  await tick(3);
  const compared = screen.getByRole('region', { name: 'Two compared' });
  expect(compared).toHaveTextContent('From version 3');
  expect(compared).toHaveTextContent('water 78 → 84 %');
  await tick(4);
  expect(compared).toHaveTextContent('water 78 → 80 %');
});

test('older ones are fetched, a branch is made once however often it is pressed', async () => {
  const sent = server({
    '/api/k/test/formulas/f/story?before=3': {
      status: 200,
      body: { ...story, revisions: [revision(2, 380), revision(1, 300)] },
    },
    '/api/k/test/formulas': { status: 201, body: { id: 'new' } },
  });
  open();
  await userEvent.click(screen.getByRole('button', { name: 'Older ones' }));
  expect(await screen.findByText('How it began.')).toBeInTheDocument();
  expect(entry(3)).toHaveTextContent('water 76 → 78 %');
  expect(screen.queryByRole('button', { name: 'Older ones' })).toBeNull();
  const branch = within(entry(2)).getByRole('button', { name: 'Make a copy from here' });
  await userEvent.click(branch);
  await userEvent.click(branch);
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/test/formulas/new'));
  const wishes = sent.filter(({ path }) => path === '/api/k/test/formulas').map(({ body }) => body);
  expect(wishes[0]).toMatchObject({ copyOf: 'f', revision: 2, name: 'Plain loaf, from 2' });
  expect(new Set(wishes.map(({ requestId }) => requestId)).size).toBe(1);
});

test('brought back on what was seen; a newer version in between is told, not overwritten', async () => {
  const answers = {
    '/api/k/test/formulas/f/revisions': {
      status: 409,
      body: { error: { kind: 'stale', revision: 6, savedAtMs: 0 } },
    },
  };
  const sent = server(answers);
  open();
  await userEvent.click(within(entry(4)).getByRole('button', { name: 'Restore' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('newer version in between');
  expect(push).not.toHaveBeenCalled();
  answers['/api/k/test/formulas/f/revisions'] = {
    status: 200,
    body: { id: 'f', revision: 6, savedAtMs: 0 } as never,
  };
  await userEvent.click(within(entry(4)).getByRole('button', { name: 'Restore' }));
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/test/formulas/f'));
  expect(sent[0]!.body).toMatchObject({ seen: 5, formula: withWater(400) });
});
