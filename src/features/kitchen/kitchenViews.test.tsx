import { fireEvent, screen, waitFor } from '@testing-library/react';
import { PLAIN_WAYS } from '@/core/kit';
import userEvent from '@testing-library/user-event';
import { DetailsCard } from '../kit/DetailsCard';
import { show, showAlone } from '../testKitchen';
import { KitchensPage } from './KitchensPage';
import { SetUpPage } from './SetUpPage';

const push = jest.fn();
const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh }) }));

interface Posted {
  path: string;
  body: Record<string, unknown>;
}
let posted: Posted[] = [];
/** Answers of the server, the next one first; after the last: gone. */
let answers: { status: number; body: unknown }[] = [];
beforeEach(() => {
  posted = [];
  answers = [];
  push.mockClear();
  refresh.mockClear();
  global.fetch = jest.fn((path: string, init: RequestInit) => {
    posted.push({ path, body: JSON.parse(init.body as string) as Record<string, unknown> });
    const next = answers.shift();
    if (!next) return Promise.reject(new Error('no network'));
    return Promise.resolve({
      ok: next.status < 300,
      status: next.status,
      json: () => Promise.resolve(next.body),
    });
  }) as unknown as typeof fetch;
});
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
/** The second of two presses counts a moment later. */
async function pressTwice(first: string, second: RegExp): Promise<void> {
  const now = jest.spyOn(performance, 'now');
  now.mockReturnValue(1000);
  fireEvent.click(screen.getByRole('button', { name: first }));
  now.mockReturnValue(1100);
  fireEvent.click(await screen.findByRole('button', { name: second }));
  expect(posted).toEqual([]);
  now.mockReturnValue(2000);
  fireEvent.click(screen.getByRole('button', { name: second }));
  now.mockRestore();
}

test('three questions, each answered already: later, later, open', async () => {
  answers = [{ status: 201, body: { address: 'my-kitchen', name: 'My kitchen', demo: false } }];
  showAlone(<SetUpPage />);
  expect(screen.getByRole('radio', { name: /A bit of everything/ })).toBeChecked();
  await press('Later');
  expect(screen.getByRole('heading')).toHaveFocus();
  expect(screen.getByRole('radio', { name: /Grams and °C/ })).toBeChecked();
  await press('Later');
  await press('Open my kitchen');
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/my-kitchen'));
  expect(posted).toEqual([
    {
      path: '/api/kitchens',
      body: {
        requestId: expect.any(String) as string, name: 'My kitchen', baking: 'everything', ovenKind: 'static', altitudeM: 0,
        timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone, clockFace: '12', decimalMark: 'point',
      },
    },
  ]); // prettier-ignore
});

test('what is answered is sent, the reader’s units change at once, and what cannot be is said at its field', async () => {
  showAlone(<SetUpPage />);
  await userEvent.click(screen.getByRole('radio', { name: /Flat things/ }));
  await press('Next');
  await userEvent.click(screen.getByRole('radio', { name: /Ounces and °F/ }));
  await press('Next');
  await press('Previous');
  expect(screen.getByRole('radio', { name: /Ounces and °F/ })).toBeChecked();
  await press('Next');
  const [name, zone, height] = [
    screen.getByLabelText('What the kitchen is called'),
    screen.getByLabelText('Its time zone'),
    screen.getByLabelText('Height above the sea, ft'),
  ];
  await userEvent.clear(name);
  await userEvent.clear(height);
  await userEvent.type(height, '30000');
  await press('Open my kitchen');
  expect(await screen.findByText('Give it a name.')).toBeInTheDocument();
  await userEvent.type(name, ' The mill ');
  await press('Open my kitchen');
  expect(await screen.findByText('A number of feet, 0 to 16404.')).toBeInTheDocument();
  expect(posted).toEqual([]);
  await userEvent.clear(height);
  await userEvent.type(height, '2666,01');
  await userEvent.selectOptions(zone, 'Asia/Tokyo');
  await userEvent.click(screen.getByRole('radio', { name: /A deck oven/ }));
  await press('Open my kitchen');
  expect(await screen.findByText(/it will still be one kitchen/)).toBeInTheDocument();
  answers = [{ status: 201, body: { address: 'the-mill', name: 'The mill', demo: false } }];
  await press('Open my kitchen');
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/the-mill'));
  expect(posted).toHaveLength(2);
  expect(posted[0]).toEqual(posted[1]);
  expect(posted[1]?.body).toMatchObject({
    name: 'The mill', timeZone: 'Asia/Tokyo', baking: 'flat', ovenKind: 'deck', altitudeM: 813,
  }); // prettier-ignore
  expect(document.cookie).toContain('crumb-view=day.oz.F.us');
});

test('the first page: into each kitchen, and the demo put back or removed by two presses', async () => {
  const demo = { address: 'lock', name: 'Lock', demo: true };
  const { unmount } = showAlone(
    <KitchensPage kitchens={[{ address: 'mill', name: 'Mill', demo: false }, demo]} />,
  );
  expect(screen.getByRole('link', { name: 'Mill' })).toHaveAttribute('href', '/k/mill');
  expect(screen.getByRole('link', { name: /Look round in Lock/ })).toHaveAttribute('href', '/k/lock');
  answers = [{ status: 200, body: { removed: true } }];
  await pressTwice('Remove it', /Yes, remove it/);
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(posted).toEqual([{ path: '/api/k/lock/removal', body: {} }]);
  unmount();
  showAlone(<KitchensPage kitchens={[]} />);
  expect(screen.queryByRole('link', { name: /Look round/ })).not.toBeInTheDocument();
  answers = [{ status: 201, body: demo }];
  await press('Restore it');
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(2));
  expect(posted.at(-1)).toEqual({ path: '/api/kitchens/demo', body: {} });
});

test('a kitchen’s name and zone are changed in one place; what was not saved stays to be seen', async () => {
  show(<DetailsCard details={{ ...PLAIN_WAYS, name: 'Mill', about: '', timeZone: 'Europe/Berlin' }} />);
  const save = screen.getByRole('button', { name: 'Save' });
  expect(save).toBeDisabled();
  await userEvent.type(screen.getByLabelText('Name'), ' house');
  await press('Save');
  expect(await screen.findByText(/was not saved/)).toBeInTheDocument();
  expect(screen.getByLabelText('Name')).toHaveValue('Mill house');
  answers = [{ status: 200, body: {} }];
  await press('Save');
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect(posted.at(-1)).toEqual({
    path: '/api/k/test/details',
    body: { ...PLAIN_WAYS, name: 'Mill house', about: '', timeZone: 'Europe/Berlin' },
  });
  await waitFor(() => expect(save).toBeDisabled());
});
