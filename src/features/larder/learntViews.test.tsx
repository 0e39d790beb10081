import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { libraryBook, type BagEntry, bookWith, type LotEntry, type StoredEntry } from '@/core/ingredients';
import { show } from '../testKitchen';
import { BlendDialog } from './BlendDialog';
import { EntryDialog } from './EntryDialog';
import { IngredientCard } from './IngredientCard';
import { LotDialog } from './LotDialog';
import { WorksDialog } from './WorksDialog';
import { jar, keep, put, server, stored } from './testKitchen';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn(), refresh }) }));

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
