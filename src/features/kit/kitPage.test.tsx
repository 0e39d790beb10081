import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Kit } from '@/core/kit';
import { ORDINARY_KIT, PLAIN_WAYS } from '@/core/kit';
import { show } from '../testKitchen';
import { KitPage } from './KitPage';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

interface Sent {
  readonly requestId: string;
  readonly seen: number;
  readonly kit: Kit;
}
let sent: Sent[] = [];
const reply = (data: unknown, status = 200) =>
  ({ ok: status < 300, status, json: () => Promise.resolve(data) }) as Response;
let answers: (() => Response)[] = [];
const stored = (version: number) => () => reply({ version, kit: sent.at(-1)?.kit });

beforeEach(() => {
  sent = [];
  answers = [];
  global.fetch = jest.fn((_: unknown, init?: RequestInit) => {
    sent.push(JSON.parse(init?.body as string) as Sent);
    const next = answers.shift();
    return next ? Promise.resolve(next()) : Promise.reject(new TypeError('no network'));
  });
});
const status = () => screen.getByTestId('kit-save');
const DETAILS = { ...PLAIN_WAYS, name: 'Test kitchen', about: '', timeZone: 'Europe/Berlin' };
const open = () =>
  show(
    <KitPage
      stored={{ version: 0, kit: ORDINARY_KIT }}
      details={DETAILS}
      ingredients={[{ id: 'water', name: 'Water' }]}
    />,
  );

test('what is typed is saved by itself, once for a burst of keys, and the next on top of it', async () => {
  const user = userEvent.setup();
  answers = [stored(1), stored(2)];
  open();
  const room = screen.getByRole('textbox', { name: 'Room' });
  await user.clear(room);
  await user.type(room, '24');
  await waitFor(() => expect(status()).toHaveAttribute('data-state', 'saved'));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({ seen: 0, kit: { roomC: 24 } });
  await user.click(screen.getByRole('button', { name: 'A tin' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ seen: 1, kit: { roomC: 24, tins: [{ name: 'A loaf tin' }] } });
});

test('warming by the mixer is a difference: told and typed in the reader’s degrees, saved as °C', async () => {
  const user = userEvent.setup();
  answers = [stored(1)];
  const kit = { ...ORDINARY_KIT, mixer: { ...ORDINARY_KIT.mixer, frictionCPerMin: 0.5 } };
  show(
    <KitPage stored={{ version: 0, kit }} details={DETAILS} ingredients={[{ id: 'water', name: 'Water' }]} />,
    { temperatureUnit: 'F' },
  );
  const warming = screen.getByRole('textbox', { name: 'Mixing warms the dough by, a minute' });
  expect(warming).toHaveValue('0.9');
  await user.clear(warming);
  await user.type(warming, '9');
  expect(screen.getByRole('alert')).toHaveTextContent('5.4°');
  await user.clear(warming);
  await user.type(warming, '1.8');
  await waitFor(() => expect(sent.at(-1)?.kit.mixer.frictionCPerMin).toBe(1));
});

test('a fridge at 60 °C is refused at its field, and what stood there is saved', async () => {
  const user = userEvent.setup();
  answers = [stored(1)];
  open();
  const fridge = screen.getByRole('textbox', { name: 'Fridge' });
  await user.clear(fridge);
  await user.type(fridge, '60');
  expect(fridge).toBeInvalid();
  expect(screen.getByRole('alert')).toHaveTextContent('15');
  await user.keyboard('{Escape}');
  expect(fridge).toHaveValue('5');
  // the 6 on the way to 60 could have been meant; it is taken back before anything is sent
  await waitFor(() => expect(status()).toHaveAttribute('data-state', 'saved'));
  expect(sent.map(({ kit }) => kit.fridgeC)).toEqual([5]);
});

test('without a network it is said, and the same request is sent again', async () => {
  const user = userEvent.setup();
  open();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Mixing' }), 'by hand');
  await waitFor(() => expect(status()).toHaveAttribute('data-state', 'unreachable'));
  answers = [stored(1)];
  await waitFor(() => expect(status()).toHaveAttribute('data-state', 'saved'));
  expect(sent[1]).toEqual(sent[0]);
});

test('somebody else’s change in between is said, not overwritten', async () => {
  const user = userEvent.setup();
  answers = [() => reply({ error: { kind: 'stale', revision: 4 } }, 409)];
  open();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Mixing' }), 'by hand');
  await waitFor(() => expect(status()).toHaveTextContent('Somebody changed the equipment'));
});

test('thermometer readings make the dial’s error known, and how surely', async () => {
  const user = userEvent.setup();
  answers = [stored(1)];
  open();
  const oven = screen.getByRole('group', { name: 'Oven' });
  const offset = within(oven).getByTestId('offset-oven');
  expect(offset).toHaveTextContent('not known');
  await user.click(within(oven).getByText(/Thermometer readings \(/));
  const take = within(oven).getByRole('button', { name: 'Take this reading' });
  expect(take).toBeDisabled();
  await user.type(within(oven).getByRole('textbox', { name: 'On the dial' }), '200');
  await user.type(within(oven).getByRole('textbox', { name: 'A thermometer inside says' }), '30');
  expect(take).toBeDisabled();
  await user.clear(within(oven).getByRole('textbox', { name: 'A thermometer inside says' }));
  await user.type(within(oven).getByRole('textbox', { name: 'A thermometer inside says' }), '182');
  await user.click(take);
  expect(offset).toHaveTextContent(/−1\d° \(± \d\) at 200 °C/);
  await waitFor(() => expect(sent[0]?.kit.ovens[0]?.readings).toEqual([{ dialC: 200, trueC: 182 }]));
});

test('the scales are edited in one place, in order, and a list that is full says so at once', async () => {
  const user = userEvent.setup();
  answers = Array.from({ length: 8 }, (_, index) => stored(index + 1));
  const tins = Array.from({ length: 24 }, (_, index) => ({
    id: `t${index}`, name: `Tin ${index}`, kind: 'dark' as const, lengthCm: 22, widthCm: 10, heightCm: 8,
  })); // prettier-ignore
  show(
    <KitPage
      stored={{ version: 0, kit: { ...ORDINARY_KIT, tins } }}
      details={DETAILS}
      ingredients={[{ id: 'water', name: 'Water' }]}
    />,
  );
  expect(screen.getByRole('button', { name: 'A tin' })).toBeDisabled();
  expect(screen.getByText(/24 are the most/)).toBeInTheDocument();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Steps of scale 1' }), '0.01');
  await waitFor(() => expect(sent.at(-1)?.kit.scales[0]).toEqual({ upToG: 10, stepG: 0.01 }));
  // the first scale cannot reach past the second
  const first = screen.getByRole('textbox', { name: 'Up to' });
  await user.clear(first);
  await user.type(first, '9000');
  expect(first).toBeInvalid();
});

test('what there is room for, a mixer, a cup of one’s own: typed in the reader’s unit, nonsense refused, saved', async () => {
  const user = userEvent.setup();
  answers = Array.from({ length: 12 }, (_, at) => stored(at + 1));
  open();
  await user.click(screen.getByRole('button', { name: 'A stone, steel or pot' }));
  const stone = screen.getByRole('group', { name: 'A stone' });
  await user.type(within(stone).getByRole('textbox', { name: 'Long' }), '38');
  await user.selectOptions(within(stone).getByRole('combobox', { name: 'Form of A stone' }), 'Round');
  expect(within(stone).queryByRole('textbox', { name: 'Wide' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'A bowl, mixer, kettle or pan' }));
  await user.type(screen.getByRole('textbox', { name: 'Most dough at once' }), '2 kg');
  await user.click(screen.getByRole('button', { name: 'A cup, scoop or spoon' }));
  const weighs = screen.getByRole('textbox', { name: 'It weighs, each time' });
  await user.clear(weighs);
  await user.type(weighs, '148 a');
  expect(weighs).toBeInvalid();
  await user.clear(weighs);
  await user.type(weighs, '148 151  146,5');
  await waitFor(() =>
    expect(sent.at(-1)?.kit).toMatchObject({
      plates: [{ kind: 'stone', lengthCm: 38, widthCm: null, round: true }],
      vessels: [{ kind: 'mixer', mostDoughG: 2000 }],
      measures: [{ measure: 'cup', ingredientId: null, weighedG: [148, 151, 146.5] }],
    }),
  );
});
