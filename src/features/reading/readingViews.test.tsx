import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { writeFormulaCsv, writeFormulaFile, writeRecipeJsonLd } from '@/core/formats';
import type { Formula } from '@/core/formula';
import { plainLoaf } from '@/core/formula/testFormulas';
import { libraryBook } from '@/core/ingredients';
import { show } from '../testKitchen';
import type { ReadingQuestion } from '@/workers/readingProtocol';
import { readText } from '@/core/formats/readText';
import { ReadingView } from './ReadingView';

// the thread's code, at once
jest.mock('@/workers/makeReadingWorker', () => ({
  makeReadingWorker: () => {
    const port = {
      onmessage: null as ((event: { data: unknown }) => void) | null,
      terminate: () => undefined,
      postMessage: ({ id, text, system, declared }: ReadingQuestion) => {
        let next = 0;
        const read = readText(text, libraryBook, system, () => `r${(next += 1)}`, {
          declared: new Map(declared),
        });
        void Promise.resolve().then(() => port.onmessage?.({ data: { kind: 'read', id, read } }));
      },
    };
    void Promise.resolve().then(() => port.onmessage?.({ data: { kind: 'hears' } }));
    return port;
  },
}));

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

function server(status = 201, body: unknown = { id: 'made' }) {
  const sent: { path: string; body: { formula?: Formula; file?: string; requestId: string } }[] = [];
  global.fetch = jest.fn((path: string, init?: { body?: string }) => {
    sent.push({ path, body: JSON.parse(init?.body ?? '{}') as never });
    return Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  return sent;
}
beforeEach(() => push.mockClear());
/** The page, once the thread has read. */
async function read(text: string, preferences: Parameters<typeof show>[1] = {}) {
  const shown = show(<ReadingView text={text} />, preferences);
  await waitFor(() => expect(screen.queryByText('Reading …')).toBeNull());
  return shown;
}
const line = (number: number) => screen.getByTestId(`line-${number}`);
const press = (name: string | RegExp, inside: HTMLElement = document.body) =>
  userEvent.click(within(inside).getByRole('button', { name }));

const TEXT = `Gate flats
200 g millet flour
1 cup (400 g) tapioca starch
8 g yeast
2 eggs plus 1 yolk
salt to taste
100 g rye flour
Bake 20 min at 350 °F / 220 °C.`;

test('each question has its answer beside it; the formula is made once there are none', async () => {
  const sent = server();
  await read(TEXT, { measure: 'us' });
  expect(screen.getByTestId('understood')).toHaveTextContent('6 ingredients, 1 steps · 6 questions left');
  expect(screen.getByText(/One is a slip/)).toHaveTextContent('177 °C and 220 °C');
  expect(screen.getByRole('button', { name: 'Make the formula' })).toBeDisabled();
  expect(line(3)).toHaveTextContent('Its amounts do not agree');
  await press(/^1 cup = 133/, line(3));
  expect(line(4)).toHaveTextContent('Which one is meant?');
  await press('Fresh yeast', line(4));
  expect(line(5)).toHaveTextContent('Whole egg');
  await press('Leave out: 2 eggs plus 1 yolk');
  const salt = screen.getByRole('textbox', { name: 'Weight of salt to taste' });
  await userEvent.click(salt);
  await userEvent.paste('1 tsp');
  expect(line(6)).toHaveTextContent('6.03 g');
  expect(line(7)).toHaveTextContent('This names a grain with gluten');
  await press('find it …', line(7));
  await userEvent.type(await screen.findByRole('combobox'), 'sorghum flour{Enter}');
  expect(line(7)).toHaveTextContent('Sorghum flour');
  // of the two temperatures it is the baker who knows which was the slip
  expect(screen.getByRole('button', { name: 'Make the formula' })).toBeDisabled();
  await press('220 °C', screen.getByTestId('step-question'));
  await press('Make the formula');
  await waitFor(() => expect(push).toHaveBeenCalledWith('/k/test/formulas/made'));
  const { formula } = sent[0]!.body;
  expect(
    formula!.stages[0]!.lines.map(({ ingredientId, massG }) => [ingredientId, Math.round(massG)]),
  ).toEqual([
    ['millet-flour', 200],
    ['tapioca-starch', 134],
    ['fresh-yeast', 8],
    ['salt', 6],
    ['sorghum-flour', 100],
  ]);
  // what was asked and answered keeps how it was measured, and its range
  expect(formula!.stages[0]!.lines.map(({ measured }) => measured?.said)).toEqual([
    undefined,
    '1 cup',
    undefined,
    '1 tsp',
    undefined,
  ]);
  const { lowG, highG, counts } = formula!.stages[0]!.lines[3]!.measured!;
  expect([lowG < 5.5, highG > 6.5, counts]).toEqual([true, true, [{ count: 1, measure: 'tsp' }]]);
  expect(formula!.about).toContain('Not in the formula: 2 eggs plus 1 yolk');
  expect(formula!.steps[0]).toMatchObject({ kind: 'bake', minS: 1200, tempC: 220 });
});

test('a sentence that is not understood asks, with what it may mean; a line is what the baker says it is', async () => {
  const sent = server();
  await read(
    'Evening loaf\n300 g sorghum flour\n300 g water\nMix 4 minutes. Tickle it for 50 minutes. Bake 40 min at 220 °C.\nMy aunt’s',
  );
  const asked = screen.getByTestId('step-question');
  expect(asked).toHaveTextContent('“Tickle it for 50 minutes.”: what is done here?');
  await press('Bulk, 50 min', asked);
  expect(asked).toHaveAttribute('data-open', 'false');
  expect(screen.getAllByTestId('read-step').map((step) => step.textContent?.slice(0, 10))).toEqual([
    'Mix4 minMi', 'Bulk50 min', 'Bake40 min', 'DoMy aunt’',
  ]); // prettier-ignore
  await press('Every line, and what it was taken for');
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Line 5 is' }), 'Note');
  await waitFor(() => expect(screen.getAllByTestId('read-step')).toHaveLength(3));
  await press('Make the formula');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body.formula).toMatchObject({
    about: 'My aunt’s',
    steps: [{ kind: 'mix' }, { kind: 'bulk', minS: 3000 }, { kind: 'bake' }],
  });
});

test('oats ask whether they are certified, a bought blend whether there is gum in it', async () => {
  const sent = server();
  await read('Porridge loaf\n\n100 g oat flour\n400 g gluten-free flour blend\n300 g water');
  expect(line(3)).toHaveTextContent('Only when certified gluten-free');
  await press('Oat flour, certified gluten-free', line(3));
  expect(line(4)).toHaveTextContent('Which one is meant?');
  await press('another …', line(4));
  await userEvent.type(await screen.findByRole('combobox'), 'flour blend');
  expect(screen.getByRole('option', { name: /^Gluten-free flour blend, with/ })).toHaveTextContent(
    'holds xanthan gum',
  );
  expect(screen.getByRole('option', { name: /^Gluten-free flour blend, no/ })).toHaveTextContent(
    'no binder in it',
  );
  await userEvent.click(screen.getByRole('option', { name: /^Gluten-free flour blend, with/ }));
  await press('Make the formula');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body.formula!.stages[0]!.lines.map(({ ingredientId }) => ingredientId)).toEqual([
    'oat-flour-certified',
    'bought-blend-gum',
    'water',
  ]);
});

test('what was left out can come back, and the server’s refusal is told', async () => {
  server(422, {
    error: {
      kind: 'invalid',
      problems: [{ code: 'tooWet', path: 'stages', params: { percent: 900, max: 400 } }],
    },
  });
  await read('200 g millet flour\n100 g water');
  await press('Leave out: 100 g water');
  expect(screen.getByText('100 g water')).toHaveClass('line-through');
  await press('back in');
  await press('Make the formula');
  expect(await screen.findByRole('alert')).toHaveTextContent('makes the water 900 %');
  expect(push).not.toHaveBeenCalled();
});

test('a file of ours goes to the server whole; a broken one says where it breaks', async () => {
  const sent = server();
  const text = writeFormulaFile(plainLoaf(), []);
  const { unmount } = await read(text);
  await press('Import it');
  await waitFor(() => expect(push).toHaveBeenCalled());
  expect(sent[0]).toMatchObject({ path: '/api/k/test/formulas/import', body: { file: text } });
  unmount();
  await read('{"@type": "Recipe",\n "name": ');
  expect(screen.getByRole('alert')).toHaveTextContent(/line 2, column \d+/);
});

test('what a text is, is seen in the text', () => {
  const as = (text: string) => {
    const read = readText(text, libraryBook, 'metric', () => 'x');
    return read.ok ? read.value.as : read.problem.code;
  };
  expect(as(writeFormulaFile(plainLoaf(), []))).toBe('ours');
  expect(as(writeFormulaCsv(plainLoaf(), libraryBook).text)).toBe('table');
  expect(as('Ingredient;Weight\nwater;20')).toBe('table');
  expect(as(writeRecipeJsonLd(plainLoaf(), libraryBook, (kind) => kind).text)).toBe('recipeData');
  expect(as('\uFEFF# Loaf\n- 200 g water')).toBe('recipe');
  expect(as('[1, 2]')).toBe('wrongFormat');
  expect(as('ingredient,grams\n=1+1,5')).toBe('formulaCell');
});
