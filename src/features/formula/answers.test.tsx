import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import fc from 'fast-check';
import { formulaAnswers } from '@/core/notices';
import { allLines, type Formula } from '@/core/formula';
import { anyFormula, line, plainLoaf } from '@/core/formula/testFormulas';
import { libraryBook } from '@/core/ingredients';
import { newStep } from '@/core/method';
import { storyOf } from '@/core/story';
import { show } from '../testKitchen';
import { wordCaution } from '@/wording/cautions';
import { wordNotice } from '@/wording/notices';
import { wordTurn } from '@/wording/story';
import { ToolDialog } from './tools/ToolDialog';
import { MoreAnswers } from './MoreAnswers';
import { DoughTemperaturePanel } from './DoughTemperaturePanel';
import { ExportDialog } from './ExportDialog';
import { Feel } from './Feel';
import { Notices } from './Notices';
import { SheetActionsProvider } from '../sheet/SheetContext';
import { RunStore } from '../sheet/runStore';
import { SheetStore } from '../sheet/sheetStore';
import type { Tool } from './tools/toolNames';
import { WaterPicture } from './WaterPicture';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const nameOf = (id: string) => libraryBook.get(id)?.name ?? id;

/** A part of the formula standing alone: what it does to the formula is what `formula()` then gives. */
function alone(part: React.ReactNode, formula: Formula = plainLoaf()) {
  const store = new SheetStore(formula, libraryBook);
  let now = formula;
  const edit = jest.fn((change: { type: string; formula?: Formula }) => {
    if (change.formula) now = change.formula;
    return null;
  });
  show(
    <SheetActionsProvider
      value={{
        store,
        edit: edit as never,
        settle: () => undefined,
        takeBack: () => undefined,
        formulaId: 'f',
        runs: new RunStore(),
      }}
    >
      {part}
    </SheetActionsProvider>,
  );
  return { formula: () => now, edit };
}
const massOf = (formula: Formula, id: string) =>
  allLines(formula).find((each) => each.ingredientId === id)?.massG;

test('what dough it makes: both moments in words, its range, and the sum behind it', () => {
  const { consistency } = formulaAnswers(plainLoaf(), libraryBook);
  const { balance, rested, now } = consistency!;
  expect([rested.band, now.band]).toEqual(['soft', 'sticky']);
  show(<Feel consistency={consistency!} />);
  expect(screen.getByText(/After .* of rest: soft/)).toBeInTheDocument();
  expect(screen.getByTestId('band-now')).toHaveTextContent('sticky');
  expect(screen.getByText(/may be stiff/)).toBeInTheDocument();
  // an egg keeps a third of its water
  const whole = (x: number) => String(Math.floor(x));
  expect(balance.boundG).toBeGreaterThan(8);
  const sum = new RegExp(
    `${whole(balance.waterG - balance.boundG)}[.0-9]* g of free water .* on the ${whole(balance.demandG)}[.0-9]* g that`,
  );
  expect(screen.getByText(sum)).toBeInTheDocument();
});

test('the water: from where, held by whom, and what is free, now and later', async () => {
  const { totals, consistency } = formulaAnswers(plainLoaf(), libraryBook);
  show(<WaterPicture totals={totals} balance={consistency!.balance} />);
  expect(screen.getByText(/^Water 400 g/)).toBeInTheDocument();
  expect(screen.getByText(/^Whole egg 38 g/)).toBeInTheDocument();
  const rested = screen.getByTestId('free-water').textContent;
  expect(rested).toMatch(/\d\d(\.\d)? g more than there is/);
  expect(screen.getByText(/^bound in egg and the like 1\d/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: 'mixed' }));
  expect(screen.getByTestId('free-water').textContent).not.toBe(rested);
});

test('without water, or without anything that drinks, it says so instead of drawing', () => {
  const empty: Formula = {
    ...plainLoaf(),
    stages: [{ id: 's', kind: 'main', name: '', lines: [line('white-rice-flour', 100)] }],
  };
  const { totals, consistency } = formulaAnswers(empty, libraryBook);
  show(<WaterPicture totals={totals} balance={consistency?.balance ?? null} />);
  expect(screen.getByText('No water in it yet.')).toBeInTheDocument();
});

test('notices: three at first, the rest on asking', async () => {
  const wild: Formula = {
    ...plainLoaf(),
    style: 'hearthLoaf',
    stages: [
      {
        id: 's',
        kind: 'main',
        name: '',
        lines: [
          line('potato-flour', 120),
          line('tapioca-starch', 280),
          line('xanthan', 20),
          line('psyllium-husk', 30),
          line('water', 250),
          line('baking-soda', 9),
        ],
      },
    ],
  };
  const { notices } = formulaAnswers(wild, libraryBook);
  expect(notices.length).toBeGreaterThan(4);
  show(<Notices notices={notices} />);
  expect(screen.getAllByRole('listitem')).toHaveLength(3);
  await userEvent.click(screen.getByRole('button', { name: `${notices.length - 3} more` }));
  expect(screen.getAllByRole('listitem')).toHaveLength(notices.length);
  expect(screen.getByText(/is it perhaps potato starch\?/)).toBeInTheDocument();
  expect(screen.getByText(/expect cling and a gummy bite/)).toBeInTheDocument();
});

test('yeast in three kinds, what is in it, cautions and the statement stand below', () => {
  alone(<MoreAnswers />, {
    ...plainLoaf(),
    stages: [
      ...plainLoaf().stages,
      { id: 'l', kind: 'late', name: '', lines: [line('instant-yeast', 7), line('lupin-flour', 20)] },
    ],
  });
  const kinds = within(screen.getByTestId('yeast'))
    .getAllByRole('listitem')
    .map((item) => item.textContent);
  expect(kinds[0]).toBe('7 g instant yeast');
  expect(kinds[2]).toMatch(/^21 g fresh yeast \(18\.\d–23\.\d g\)$/);
  expect(screen.getByRole('row', { name: /^Protein/ })).toHaveTextContent('±');
  expect(screen.getByText('Lupin can set off a reaction in people with peanut allergy.')).toBeInTheDocument();
  expect(screen.getByTestId('statement')).toHaveTextContent(
    'Made with, by weight: water, white rice flour, tapioca starch',
  );
});

describe('the tools', () => {
  const open = (tool: Tool, formula?: Formula) => {
    const onClose = jest.fn();
    return { onClose, ...alone(<ToolDialog tool={tool} onClose={onClose} />, formula) };
  };
  const choose = (name: string, option: string) =>
    userEvent.selectOptions(screen.getByRole('combobox', { name }), option);

  test('set the water', async () => {
    const { formula, onClose } = open('water');
    await choose('After its rest it should be', 'Sticky');
    expect(screen.getByTestId('changes')).toHaveTextContent(/Water400 g→4[6-9]\d(\.\d)? g/);
    await userEvent.click(screen.getByRole('button', { name: 'Apply' }));
    expect(massOf(formula(), 'water')).toBeGreaterThan(455);
    expect(onClose).toHaveBeenCalled();
  });

  test('too wet today, and the wrong way round', async () => {
    open('tooWet');
    await choose('It feels', 'Sticky');
    await choose('It should be', 'Soft, shapes');
    const first = within(screen.getByTestId('too-wet')).getAllByRole('listitem')[0]!;
    expect(first).toHaveTextContent(
      /White rice flour\+ \d\d g\d\d–\d{2,3} gwater 87\.6 → .* salt 2 → .* more keeps it/,
    );
    await choose('It should be', 'Pourable');
    expect(screen.getByRole('alert')).toHaveTextContent('choose a firmer dough');
  });

  test('swap, offering only what is of its kind', async () => {
    const { formula } = open('swap');
    expect(screen.getByTestId('changes')).toHaveTextContent('Xanthan gumnew→5.6 g');
    const offered = within(screen.getByRole('combobox', { name: 'use' }))
      .getAllByRole('option')
      .map((option) => option.textContent);
    expect(offered).toContain('HPMC');
    expect(offered).not.toContain('White rice flour');
    await userEvent.click(screen.getByRole('button', { name: 'Apply' }));
    expect(massOf(formula(), 'xanthan')).toBeCloseTo(5.6, 6);
  });

  test('leave out: only what is there is offered', async () => {
    const { formula } = open('leaveOut');
    expect(
      within(screen.getByRole('combobox', { name: 'Without' }))
        .getAllByRole('option')
        .map((option) => option.textContent),
    ).toEqual(['egg', 'psyllium', 'rice']);
    await userEvent.click(screen.getByRole('button', { name: 'Apply' }));
    expect(massOf(formula(), 'egg-whole')).toBeUndefined();
    expect(massOf(formula(), 'pea-protein')).toBeCloseTo(5, 6);
  });

  test('use up what there is, refusing nonsense at the field', async () => {
    const { formula } = open('useUp');
    const have = screen.getByRole('textbox', { name: 'How much there is' });
    await userEvent.tripleClick(have);
    await userEvent.paste('0');
    expect(screen.getByText(/At least 0.01 g/)).toBeInTheDocument();
    await userEvent.tripleClick(have);
    await userEvent.paste('450');
    await userEvent.click(screen.getByRole('button', { name: 'Apply' }));
    expect(massOf(formula(), 'water')).toBeCloseTo(600, 6);
  });
});

test('how warm the water must be follows the kitchen, and warns where yeast would suffer', async () => {
  alone(<DoughTemperaturePanel />, {
    ...plainLoaf(),
    steps: [{ ...newStep('mix', 'm'), minS: 300, tempC: 27 }],
  });
  const shown = () => parseFloat(screen.getByTestId('water-temperature').textContent ?? '');
  expect(screen.getByRole('textbox', { name: 'Dough wanted at' })).toHaveValue('27');
  const mild = shown();
  const room = screen.getByRole('textbox', { name: 'Kitchen and flour' });
  await userEvent.tripleClick(room);
  await userEvent.paste('4');
  expect(shown()).toBeGreaterThan(mild + 5);
  await userEvent.tripleClick(screen.getByRole('textbox', { name: 'Dough wanted at' }));
  await userEvent.paste('40');
  expect(screen.getByText(/Yeast is hurt|yeast dies/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: 'by hand' }));
  await userEvent.tripleClick(room);
  await userEvent.paste('300');
  expect(screen.getByText('At most 45 °C.')).toBeInTheDocument();
});

test('written out in four formats, each saying what it cannot carry', async () => {
  alone(<ExportDialog onClose={() => undefined} />);
  expect(screen.getByTestId('losses')).toHaveTextContent('Nothing is lost');
  const text = () => screen.getByLabelText('What the file holds').textContent ?? '';
  expect(JSON.parse(text())).toMatchObject({
    format: 'honest-crumb.formula',
    formula: { name: 'Plain loaf' },
  });
  await userEvent.click(screen.getByRole('radio', { name: 'Markdown' }));
  expect(text()).toContain('- 300 g White rice flour');
  expect(screen.getByTestId('losses')).toHaveTextContent('which part is a starter, a gel, a topping');
  await userEvent.click(screen.getByRole('radio', { name: 'CSV' }));
  expect(text()).toContain('Dough,main,White rice flour,white-rice-flour,300,60.00,');
  await userEvent.click(screen.getByRole('radio', { name: 'JSON-LD' }));
  expect(JSON.parse(text())).toMatchObject({
    '@type': 'Recipe',
    recipeIngredient: expect.arrayContaining(['10 g Salt']) as unknown,
  });
  expect(screen.getByRole('button', { name: /plain-loaf\.json/ })).toBeInTheDocument();
});

test('every notice, caution and turn has whole words, whatever the formula', () => {
  const whole = (words: string) => expect(words).not.toMatch(/undefined|NaN|null|\[object|Infinity/);
  fc.assert(
    fc.property(anyFormula, anyFormula, (formula, other) => {
      const { notices, cautions } = formulaAnswers(formula, libraryBook);
      notices.forEach((notice) => whole(wordNotice(notice, nameOf)));
      cautions.forEach((caution) => {
        const { short, long } = wordCaution(caution, nameOf, 'F');
        whole(short + long);
        expect(short).toMatch(/[.]$/);
      });
      storyOf(formula, other, libraryBook).forEach((turn) =>
        whole(wordTurn(turn, { nameOf, mass: (g) => `${g} g`, temperature: (c) => `${c} °C` })),
      );
    }),
    { numRuns: 60 },
  );
});
