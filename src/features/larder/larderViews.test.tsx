import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  libraryBook,
  type BagEntry,
  type BlendEntry,
  bookWith,
  type LotEntry,
  type StoredEntry,
  type OwnEntry,
} from '@/core/ingredients';
import type { SaveIngredient } from '@/core/requests';
import { show } from '../testKitchen';
import { BlendDialog } from './BlendDialog';
import { EntryDialog } from './EntryDialog';
import { IngredientCard } from './IngredientCard';
import { LabelDialog } from './LabelDialog';
import { LotDialog } from './LotDialog';
import { WorksDialog } from './WorksDialog';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn(), refresh }) }));

/** A server that keeps what it is sent, or answers as it is told. */
function server(answers: { status: number; body: unknown }[] = []) {
  const sent: SaveIngredient[] = [];
  global.fetch = jest.fn((_path: string, init?: { body?: string }) => {
    if (init?.body) sent.push(JSON.parse(init.body) as SaveIngredient);
    const { status, body } = answers.shift() ?? { status: 201, body: {} };
    return Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  return sent;
}
async function put(name: string, text: string) {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  if (text) await userEvent.paste(text);
}
const keep = () => userEvent.click(screen.getByRole('button', { name: 'Save it' }));
const jar: BlendEntry = {
  kind: 'blend', id: 'own-jar', name: 'House jar', alsoCalled: ['the jar'], source: '', role: 'flour', densityGPerMl: null,
  parts: [{ ingredientId: 'white-rice-flour', massG: 600 }, { ingredientId: 'tapioca-starch', massG: 400 }],
}; // prettier-ignore
const stored = (entry: StoredEntry['entry'], version = 1): StoredEntry => ({
  id: entry.id,
  version,
  away: false,
  entry,
});

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

const NOTHING_LEARNT = { learnt: [], jars: [] };

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

describe('what hands felt', () => {
  const learnt = {
    ingredientId: 'potato-starch',
    before: { value: 0.46, sd: 0.05 },
    after: { value: 0.52, sd: 0.03 },
    feels: 4,
    lotId: null,
    of: 'absorption' as const,
  };
  const card = (entries: StoredEntry[], ingredient = libraryBook.get('potato-starch')!) =>
    show(
      <IngredientCard
        ingredient={ingredient}
        beside={null}
        learnt={{ learnt: [learnt], jars: [] }}
        onBeside={() => undefined}
        onLook={() => undefined}
        onEdit={() => undefined}
      />,
      {},
      entries,
    );
  const learntBag: BagEntry = {
    kind: 'bag',
    id: 'potato-starch',
    bag: 'felt 4 times at the bench',
    source: '',
    learntFrom: 4,
    changes: { absorption: { gPerG: learnt.after, tauMin: 5 } },
  };

  test('stands beside what was believed and is taken over as a bag', async () => {
    const sent = server();
    card([]);
    expect(screen.getByTestId('felt')).toHaveTextContent(
      'Felt at the bench 4 times: it absorbs 0.52 ± 0.04 g of water per g; before that 0.46 ± 0.06.',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Use it' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ seen: 0, away: false, entry: learntBag }));
  });

  test('once taken over it says so; a bag the baker measured is left alone', () => {
    const starch = libraryBook.get('potato-starch')!;
    card([stored(learntBag)], { ...starch, ...learntBag.changes });
    expect(screen.getByTestId('felt')).toHaveTextContent('In use.');
    document.body.innerHTML = '';
    card([stored({ ...learntBag, learntFrom: undefined, bag: 'Gate mill' })]);
    expect(screen.getByTestId('felt')).toHaveTextContent('Your own figure stands');
    expect(screen.queryByRole('button', { name: 'Use it' })).toBeNull();
  });
});

describe('lots', () => {
  const lot = (code: string, over: Partial<LotEntry> = {}): LotEntry => ({
    kind: 'lot', id: `own-${code}`, of: 'potato-starch', code, openedOn: '2026-11-02', bestBefore: null, open: true, ...over,
  }); // prettier-ignore
  const card = (lots: LotEntry[], learnt: Parameters<typeof IngredientCard>[0]['learnt']) => {
    const book = bookWith(libraryBook, lots);
    if (!book.ok) throw new Error();
    return show(
      <IngredientCard
        ingredient={book.value.get('potato-starch')!}
        beside={null}
        learnt={learnt}
        onBeside={() => undefined}
        onLook={() => undefined}
        onEdit={() => undefined}
      />,
      {},
      lots.map((each) => stored(each)),
    );
  };

  test('the one in use stands first with what is known of it; another is finished by one press', async () => {
    const sent = server();
    const figure = { ingredientId: 'potato-starch', of: 'absorption' as const, before: { value: 0.46, sd: 0.05 }, feels: 3 };
    card([lot('old', { openedOn: '2026-09-01' }), lot('new')], {
      learnt: [
        { ...figure, lotId: 'own-old', after: { value: 0.552, sd: 0.02 } },
        { ...figure, lotId: 'own-new', after: { value: 0.414, sd: 0.03 } },
      ],
      jars: [],
    });
    const rows = within(screen.getByTestId('lots')).getAllByRole('listitem');
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/^newin use.*opened 2 Nov 2026.*absorbs 0.9 × its kind/),
      expect.stringMatching(/^old.*absorbs 1.2 × its kind/),
    ]);
    // what was felt of the open lot is taken over into that lot, not into the ingredient
    expect(screen.getByTestId('felt')).toHaveTextContent('it absorbs 0.41');
    await userEvent.click(screen.getByRole('button', { name: 'Use it' }));
    await waitFor(() =>
      expect(sent[0]).toMatchObject({ entry: { kind: 'lot', id: 'own-new', absorbs: { value: expect.closeTo(0.9, 9) as number }, learntFrom: 3 } }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Lot old is finished' }));
    await waitFor(() => expect(sent[1]).toMatchObject({ seen: 1, entry: { id: 'own-old', open: false } }));
  }); // prettier-ignore

  test('a jar of yeast says how lively it is; without a name it is not saved', async () => {
    const sent = server();
    const onClose = jest.fn();
    show(<LotDialog ingredient={libraryBook.get('instant-yeast')!} before={null} onClose={onClose} />);
    expect(screen.getByRole('button', { name: 'Save it' })).toBeDisabled();
    await put('What it is called from the pack, or your own mark', 'tall jar');
    await userEvent.click(screen.getByRole('radio', { name: 'foamed slowly in the cup' }));
    await keep();
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent[0]?.entry).toMatchObject({
      kind: 'lot', of: 'instant-yeast', code: 'tall jar', open: true, bestBefore: null, vigour: { value: 0.55, sd: 0.15 },
    }); // prettier-ignore
    expect(JSON.stringify(sent[0])).not.toContain('absorbs');
  });
});

test('a jar’s marks are told against new yeast, not against what is said of the jar', () => {
  const jarLot: LotEntry = {
    kind: 'lot', id: 'own-jar-y', of: 'instant-yeast', code: 'tall jar', openedOn: '2026-11-02', bestBefore: '2026-12-31', open: true,
    vigour: { value: 0.5, sd: 0.1 },
  }; // prettier-ignore
  const book = bookWith(libraryBook, [jarLot]);
  if (!book.ok) throw new Error();
  show(
    <IngredientCard
      ingredient={book.value.get('instant-yeast')!}
      beside={null}
      learnt={{ learnt: [], jars: [{ lotId: 'own-jar-y', vigour: { value: 0.8, cv: 0.1 }, marks: 3 }] }}
      onBeside={() => undefined}
      onLook={() => undefined}
      onEdit={() => undefined}
    />,
    {},
    [stored(jarLot)],
    { timeZone: 'Pacific/Auckland' },
  );
  expect(screen.getByTestId('lots')).toHaveTextContent(
    'opened 2 Nov 2026 · best before 31 Dec 2026 · works at 50 % of new · rise marks say 40 % ± 5',
  );
});

test('what is known of a mixture as a whole outlives an edit of its bag or its name', async () => {
  const sent = server();
  const works = { bagG: 500, waterG: 410, oilG: 0, eggG: 0, standMin: 20, band: 'sticky' as const };
  const absorbs = { value: 1.1, sd: 0.05 };
  const bag: BagEntry = {
    kind: 'bag',
    id: 'bought-blend-gum',
    bag: 'Quay',
    source: '',
    works,
    changes: { absorbs },
  };
  const view = show(<EntryDialog id="bought-blend-gum" bag onClose={jest.fn()} />, {}, [stored(bag)]);
  await put('Which bag mill, lot, opened when', 'Quay, May');
  await keep();
  await waitFor(() => expect(sent[0]?.entry).toEqual({ ...bag, bag: 'Quay, May' }));
  view.unmount();
  const known = { ...jar, thirstCv: 0.1, absorbs, works, learntFrom: 2 };
  show(<BlendDialog id="own-jar" onClose={jest.fn()} />, {}, [stored(known)]);
  await put('Name', 'Quay jar');
  await keep();
  await waitFor(() => expect(sent[1]?.entry).toEqual({ ...known, name: 'Quay jar' }));
});

test('a recipe that works says at once what the bag absorbs, and is kept with it', async () => {
  const sent = server();
  const onClose = jest.fn();
  show(
    <WorksDialog ingredient={libraryBook.get('bought-blend-gum')!} before={undefined} onClose={onClose} />,
  );
  expect(screen.getByText('Say how much of it and how much water.')).toBeInTheDocument();
  await put('Water, or milk', '480');
  await userEvent.tab();
  const says = () =>
    Number(/absorbs ([\d.]+) ±/.exec(screen.getByTestId('as-a-whole').textContent ?? '')?.[1]);
  await waitFor(() => expect(says()).toBeGreaterThan(0.5));
  const soft = says();
  await userEvent.click(screen.getByRole('radio', { name: 'Thick batter' }));
  // the same water and a wetter dough: it absorbs less
  await waitFor(() => expect(says()).toBeLessThan(soft - 0.05));
  await keep();
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  expect(sent[0]?.entry).toMatchObject({
    kind: 'bag', id: 'bought-blend-gum', works: { bagG: 500, waterG: 480, band: 'thickBatter' },
  }); // prettier-ignore
});
