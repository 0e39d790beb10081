import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyEdit, record, settle, takeBack, type FormulaEdit } from '@/core/formula';
import { plainLoaf } from '@/core/formula/testFormulas';
import { libraryBook } from '@/core/ingredients';
import { show } from '../testKitchen';
import { AnswerCard } from './AnswerCard';
import { DoughAnswers } from './DoughAnswers';
import { Differences } from './Differences';
import { SheetActionsProvider, useSheetState } from '../sheet/SheetContext';
import { RunStore } from '../sheet/runStore';
import { SheetStore } from '../sheet/sheetStore';
import type { Edit } from '../sheet/edit';

function rig() {
  const store = new SheetStore(plainLoaf(), libraryBook);
  const edit: Edit = (change: FormulaEdit, key?: string) => {
    const result = applyEdit(store.state.formula, change, libraryBook);
    if (!result.ok) return result.problem;
    store.put(record(store.state.history, result.value, key ?? null));
    return null;
  };
  return {
    store,
    edit,
    settle: () => store.put(settle(store.state.history)),
    takeBack: (key: string) => store.put(takeBack(store.state.history, key)),
    formulaId: 'f',
    runs: new RunStore(),
  };
}

test('a change draws only what looks at what changed', () => {
  const actions = rig();
  const drawn: string[] = [];
  function Row({ id }: { id: string }) {
    const massG = useSheetState((state) => state.lines.get(id)?.massG);
    drawn.push(`${id} ${massG}`);
    return null;
  }
  show(
    <SheetActionsProvider value={actions}>
      <Row id="water" />
      <Row id="salt" />
    </SheetActionsProvider>,
  );
  drawn.length = 0;
  act(() => void actions.edit({ type: 'setMass', lineId: 'water', massG: 410 }));
  expect(drawn).toEqual(['water 410']);
  act(() => actions.settle());
  expect(drawn).toEqual(['water 410']);
});

test('the answers follow the formula, say what is usual, and own their choice of the 100 %', async () => {
  const actions = rig();
  show(
    <SheetActionsProvider value={actions}>
      <AnswerCard formulaId="f" />
      <DoughAnswers />
    </SheetActionsProvider>,
  );
  expect(screen.getByTestId('hydration-all')).toHaveTextContent('87.6 %');
  expect(screen.getByText(/Psyllium husk 4.0 %, usual 3–7 %/)).toBeInTheDocument();
  act(() => void actions.edit({ type: 'setMass', lineId: 'psyllium-husk', massG: 60 }));
  expect(
    screen.getByText(/12.0 %, above the most that makes sense; usual 3–7 %, at most 10 %/),
  ).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: 'with binders' }));
  expect(actions.store.state.totals.baseG).toBe(560);
  const pieces = screen.getByRole('textbox', { name: 'Usual number of pieces' });
  await userEvent.clear(pieces);
  await userEvent.type(pieces, '2.5');
  expect(screen.getByRole('alert')).toHaveTextContent('Whole numbers only.');
  // "2" was only the way to a number that is none: what stood there before stands there still
  expect(actions.store.state.formula.usualYield.pieces).toBe(1);
});

test('without flour there are no percentages to show, and no water is said to be no water', () => {
  const actions = rig();
  for (const lineId of [
    'white-rice-flour',
    'tapioca-starch',
    'water',
    'egg-whole',
    'salt',
    'psyllium-husk',
  ]) {
    actions.edit({ type: 'removeLine', lineId });
  }
  show(
    <SheetActionsProvider value={actions}>
      <AnswerCard formulaId="f" />
      <DoughAnswers />
    </SheetActionsProvider>,
  );
  expect(screen.getByTestId('hydration-all')).toHaveTextContent('–');
  expect(screen.getByTestId('band-rested')).toHaveTextContent('No dough yet');
});

test('differences are told in the reader’s words and units', () => {
  show(
    <Differences
      differences={[
        { kind: 'mass', ingredientId: 'water', fromG: 400, toG: 420 },
        { kind: 'added', ingredientId: 'honey', massG: 12 },
        { kind: 'removed', ingredientId: 'egg-whole', massG: 50 },
        { kind: 'swapped', fromId: 'tapioca-starch', toId: 'potato-starch', fromG: 200, toG: 190 },
        { kind: 'method', changed: 2, added: 0, removed: 1 },
        { kind: 'name', from: 'A', to: 'B' },
        { kind: 'other' },
      ]}
    />,
  );
  expect(screen.getAllByRole('listitem').map((entry) => entry.textContent)).toEqual([
    'Water: 400 g → 420 g',
    'Honey added: 12 g',
    'Whole egg removed: 50 g',
    'Tapioca starch 200 g → Potato starch 190 g',
    'Method: 2 changed, 1 removed',
    'Name: A → B',
    'Order, notes or usual yield',
  ]);
});
