import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { libraryBook, type BagEntry, type BlendEntry, type OwnEntry } from '@/core/ingredients';
import { show } from '../testKitchen';
import { BlendDialog } from './BlendDialog';
import { EntryDialog } from './EntryDialog';
import { IngredientCard } from './IngredientCard';
import { LabelDialog } from './LabelDialog';
import { jar, keep, NOTHING_LEARNT, put, server, stored } from './testKitchen';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn(), refresh }) }));

test('the bag at hand: only what differs from the library is sent', async () => {
  const sent = server();
  const onClose = jest.fn();
  show(<EntryDialog id="brown-rice-flour" bag onClose={onClose} />);
  expect(screen.getByRole('button', { name: 'Save it' })).toBeDisabled();
  await put('Which bag mill, lot, opened when', 'Gate mill, May');
  await put('Absorbs, g of water per g', '0.95');
  await keep();
  await waitFor(() => expect(onClose).toHaveBeenCalledWith('brown-rice-flour'));
  expect(sent[0]).toMatchObject({
    seen: 0,
    away: false,
    entry: { kind: 'bag', id: 'brown-rice-flour', bag: 'Gate mill, May' },
  });
  const { changes } = sent[0]!.entry as BagEntry;
  expect(Object.keys(changes)).toEqual(['absorption']);
  expect(changes.absorption!.gPerG.value).toBe(0.95);
  expect(refresh).toHaveBeenCalled();
});

test('an ingredient of one’s own: parts must add up, a refusal is told with its place, the wish stays one', async () => {
  const sent = server([
    { status: 503, body: { error: { kind: 'unavailable' } } },
    {
      status: 422,
      body: { error: { kind: 'invalid', problems: [{ code: 'required', path: 'entry.name' }] } },
    },
    { status: 201, body: {} },
  ]);
  const onClose = jest.fn();
  show(<EntryDialog id={null} bag={false} onClose={onClose} />);
  await put('Name', 'Gate mill flour');
  // key by key: a comma is typed like any other letter
  await userEvent.type(
    screen.getByRole('textbox', { name: 'Also called separated by commas' }),
    'gate flour, miller’s own',
  );
  await put('Starch', '20');
  expect(screen.getByText(/together 42 g: must be 98 to 102/)).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Save it' })).toBeDisabled();
  await put('Starch', '78');
  await put('Protein', '600');
  expect(screen.getByText('At most 100.')).toBeInTheDocument();
  await put('Protein', '6.2');
  await userEvent.selectOptions(
    screen.getByRole('combobox', { name: 'Gluten' }),
    'often in contact with wheat: buy it labelled',
  );
  await userEvent.click(screen.getByRole('checkbox', { name: 'lupin' }));
  await keep();
  expect(await screen.findByText(/did not answer. It is written down in this browser/)).toBeInTheDocument();
  await keep();
  expect(await screen.findByText('Name: This needs a value.')).toBeInTheDocument();
  await keep();
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  expect(new Set(sent.map(({ requestId }) => requestId)).size).toBe(1);
  expect(sent[2]!.entry as OwnEntry).toMatchObject({
    kind: 'own', name: 'Gate mill flour', alsoCalled: ['gate flour', 'miller’s own'], gluten: 'crossContactCommon', allergens: ['lupin'], roles: ['flour'],
  }); // prettier-ignore
});

test('a blend is mixed by weight, shows what comes of it, and never holds itself', async () => {
  const sponge: BlendEntry = {
    ...jar,
    id: 'own-sponge',
    name: 'Sponge',
    parts: [{ ingredientId: 'own-jar', massG: 1 }],
  };
  const sent = server();
  const onClose = jest.fn();
  show(<BlendDialog id="own-jar" onClose={onClose} />, {}, [stored(jar, 3), stored(sponge)]);
  expect(screen.getByText(/1000 g in total. In 100 g: 12 water, 81\.\d starch/)).toBeInTheDocument();
  await put('Weight of Tapioca starch', '1400');
  await userEvent.click(screen.getByRole('button', { name: 'Tapioca starch one up' }));
  expect(within(screen.getByRole('list')).getAllByRole('listitem')[0]).toHaveTextContent('Tapioca starch');
  await keep();
  await waitFor(() => expect(onClose).toHaveBeenCalledWith('own-jar'));
  expect(sent[0]).toMatchObject({
    seen: 3,
    entry: { parts: [{ ingredientId: 'tapioca-starch', massG: 1400 }, { massG: 600 }] },
  });
});

test('a blend that would contain itself is refused before it is sent', async () => {
  const sponge: BlendEntry = {
    ...jar,
    id: 'own-sponge',
    name: 'Sponge',
    parts: [{ ingredientId: 'own-jar', massG: 1 }],
  };
  server();
  show(<BlendDialog id="own-jar" onClose={() => undefined} />, {}, [stored(jar), stored(sponge)]);
  await userEvent.click(screen.getByRole('button', { name: 'Add an ingredient' }));
  await userEvent.type(await screen.findByRole('combobox', { name: 'Add to it' }), 'Sponge{Enter}');
  await put('Weight of Sponge', '50');
  expect(screen.getByRole('alert')).toHaveTextContent('This mixture would contain itself.');
  expect(screen.getByRole('button', { name: 'Save it' })).toBeDisabled();
});

test('a label: the shares that must be inside, saved with their doubt in words', async () => {
  const sent = server();
  const onClose = jest.fn();
  show(<LabelDialog onClose={onClose} />);
  await put('Name yours, not the maker’s, will do', 'Market mix');
  for (const part of ['White rice flour', 'Chickpea flour', 'Xanthan gum']) {
    await userEvent.click(screen.getByRole('button', { name: 'Add an ingredient' }));
    await userEvent.type(await screen.findByRole('combobox', { name: 'Add to it' }), `${part}{Enter}`);
  }
  await put('Protein', '12.4');
  await put('Fat', '3.2');
  expect(screen.getByTestId('estimate')).toHaveTextContent(/White rice flour[56]\d %/);
  await put('Percentage of Xanthan gum', '60');
  await put('Percentage of Chickpea flour', '30');
  expect(screen.getByText(/A label lists by falling weight/)).toBeInTheDocument();
  await put('Percentage of Xanthan gum', '1');
  await keep();
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  const entry = sent[0]!.entry as BlendEntry;
  expect(entry.parts.map(({ ingredientId }) => ingredientId)).toEqual([
    'white-rice-flour',
    'chickpea-flour',
    'xanthan',
  ]);
  expect(entry.source).toMatch(
    /^Estimated from its label, (fairly sure|half sure|mostly a guess): white rice flour \d/,
  );
});

test('two ingredients stand figure beside figure; look-alikes warn and lead to one another', async () => {
  const onBeside = jest.fn();
  const props = { learnt: NOTHING_LEARNT, onBeside, onLook: jest.fn(), onEdit: jest.fn() };
  const starch = libraryBook.get('potato-starch')!;
  show(<IngredientCard ingredient={starch} beside={libraryBook.get('potato-flour')!} {...props} />);
  const absorbs = screen.getByRole('row', { name: /^Absorbs/ });
  expect(
    within(absorbs)
      .getAllByRole('cell')
      .map((cell) => cell.textContent),
  ).toEqual(['0.46 ± 0.06', '3 ± 0.64']);
  await userEvent.click(screen.getByRole('button', { name: 'potato flour' }));
  expect(onBeside).toHaveBeenCalledWith('potato-flour');
  await userEvent.click(screen.getByRole('button', { name: 'remove' }));
  expect(onBeside).toHaveBeenCalledWith(null);
});

test('a bag can be archived again, and the formula goes back to the library', async () => {
  const sent = server();
  const bag: BagEntry = {
    kind: 'bag',
    id: 'potato-starch',
    bag: 'Gate mill',
    source: '',
    changes: { mostShare: 40 },
  };
  show(
    <IngredientCard
      ingredient={libraryBook.get('potato-starch')!}
      beside={null}
      learnt={NOTHING_LEARNT}
      onBeside={() => undefined}
      onLook={() => undefined}
      onEdit={() => undefined}
    />,
    {},
    [stored(bag, 2)],
  );
  expect(screen.getByText('Gate mill')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Use the library’s figures again' }));
  await waitFor(() => expect(sent[0]).toMatchObject({ seen: 2, away: true, entry: bag }));
});
