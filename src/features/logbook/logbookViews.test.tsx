import { screen, waitFor, within } from '@testing-library/react';
import { browserQueue } from '../queue/browserQueue';
import userEvent from '@testing-library/user-event';
import { bakeCard, emptyOutcome, runningCard, stateOf, type BakeAction, type Outcome } from '@/core/bake';
import { RunningBakes } from '../home/RunningBakes';
import { show, START_MS, testBake } from '../testKitchen';
import { BakeCard } from './BakeCard';
import { OutcomeForm } from '../outcome/OutcomeForm';
import { PlannedActual } from './PlannedActual';
import { TimeLog } from './TimeLog';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

const weigh = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const planned = { pieces: 2, massG: 980 };

describe('the log form', () => {
  beforeEach(() => localStorage.clear());

  test('hands over what was typed, in grams and degrees, with what was left open left open', async () => {
    const closed: Outcome[] = [];
    show(<OutcomeForm planned={planned} deed="Close" onOutcome={(outcome) => closed.push(outcome)} />, {
      temperatureUnit: 'F',
    });
    await userEvent.type(screen.getByLabelText('Pieces'), '2');
    await userEvent.type(screen.getByLabelText('Core'), '207');
    await userEvent.click(screen.getByRole('radio', { name: 'crust 4' }));
    await userEvent.click(screen.getByRole('radio', { name: 'chew 2' }));
    await userEvent.click(screen.getByRole('radio', { name: 'chew 2' }));
    await userEvent.click(screen.getByRole('radio', { name: 'Yes, as it is' }));
    await userEvent.type(screen.getByLabelText('In words'), 'Even.');
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(closed).toMatchObject([
      {
        pieces: 2,
        massBeforeG: null,
        scores: { crumb: null, crust: 4, chew: null },
        again: 'yes',
        words: 'Even.',
      },
    ]);
    expect(closed[0]?.coreTempC).toBeCloseTo(97.2, 1);
  });

  test('tells each fault at its field, hands nothing over, and remembers the rest through a reload', async () => {
    const closed: Outcome[] = [];
    const form = (
      <OutcomeForm
        planned={planned}
        draftKey="draft"
        deed="Close"
        onOutcome={(outcome) => closed.push(outcome)}
      />
    );
    const first = show(form);
    await userEvent.type(screen.getByLabelText('Pieces'), '1.5');
    await userEvent.type(screen.getByLabelText('Core'), '5000');
    await userEvent.type(screen.getByLabelText('In words'), 'Half written');
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(await screen.findByText('Whole numbers only.')).toBeInTheDocument();
    expect(screen.getByText('At most 130 °C.')).toBeInTheDocument();
    expect(screen.getByLabelText('Core')).toBeInvalid();
    expect(closed).toEqual([]);
    first.unmount();
    show(form);
    await waitFor(() => expect(screen.getByLabelText('In words')).toHaveValue('Half written'));
    await userEvent.clear(screen.getByLabelText('Pieces'));
    await userEvent.clear(screen.getByLabelText('Core'));
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(closed).toMatchObject([{ pieces: null, words: 'Half written' }]);
    await waitFor(() => expect(browserQueue().snapshot).toEqual([]));
  });
});

test('a half-written log is in the units it was written in, also after a switch', async () => {
  const form = (
    <OutcomeForm planned={planned} draftKey="form:outcome:x" deed="Close" onOutcome={() => undefined} />
  );
  const first = show(form);
  await userEvent.type(screen.getByLabelText('Weight before'), '453.6');
  await userEvent.type(screen.getByLabelText('Core'), '97');
  first.unmount();
  show(form, { massUnit: 'oz', temperatureUnit: 'F' });
  await waitFor(() => expect(screen.getByLabelText('Weight before')).toHaveValue('1 lb 0 oz'));
  expect(screen.getByLabelText('Core')).toHaveValue('206.6');
});

test('planned beside weighed: what is off, what was corrected, what was not ticked, what went in extra', () => {
  const bake = testBake([
    weigh('water', 380),
    weigh('salt', 5),
    weigh('salt', 10),
    { type: 'added', ingredientId: 'water', massG: 15, note: 'cracked' },
    { type: 'added', ingredientId: 'white-rice-flour', massG: 20, note: '', bench: true },
  ]);
  show(<PlannedActual bake={bake} state={stateOf(bake)} events={bake.events} />);
  const row = (name: RegExp) => screen.getByRole('row', { name });
  expect(row(/^Water 400/)).toHaveTextContent('−20 g');
  expect(within(row(/^Salt/)).getByText('5 g').tagName).toBe('S');
  expect(row(/^Salt/)).toHaveTextContent('10 g');
  expect(row(/^Tapioca/)).toHaveTextContent('not ticked');
  expect(row(/extra, 05:04: cracked/)).toHaveTextContent('+15 g');
  expect(row(/on the board: about half counts/)).toHaveTextContent('+10 g');
});

test('what was mended counts against what was meant then; a part, and what was left out, say so', () => {
  const bake = testBake([
    weigh('water', 462),
    { type: 'mended', lineId: 'water', by: 'balance', targets: [{ lineId: 'water', massG: 462 }, { lineId: 'white-rice-flour', massG: 380 }] },
    weigh('white-rice-flour', 380),
    { type: 'weighedPart', lineId: 'tapioca-starch', massG: 120 },
    { type: 'leftOut', lineId: 'egg-whole' },
  ]); // prettier-ignore
  show(<PlannedActual bake={bake} state={stateOf(bake)} events={bake.events} />);
  const row = (name: RegExp) => screen.getByRole('row', { name });
  expect(row(/^Water 400 g then 462 g/)).not.toHaveTextContent('+');
  expect(row(/^White rice flour 300 g then 380 g/)).not.toHaveTextContent('+');
  expect(row(/^Tapioca/)).toHaveTextContent('120 g, a part');
  expect(row(/egg/i)).toHaveTextContent('left out');
});

test('what was read, skipped and mended stands in the log with its time', () => {
  const bake = testBake([
    weigh('water', 462),
    { type: 'mended', lineId: 'water', by: 'carryOn', targets: [{ lineId: 'water', massG: 462 }] },
    { type: 'reading', of: 'core', tempC: 92.5, stepId: 'proof' },
    { type: 'stepSkipped', stepId: 'proof' },
  ]);
  show(<TimeLog bake={bake} state={stateOf(bake)} events={bake.events} />);
  const entries = screen.getAllByRole('listitem').map((entry) => entry.textContent);
  expect(entries.slice(1)).toEqual([
    '05:02Not the amount of water that was asked for: carried on as it was',
    '05:03Core read 93 °C',
    '05:04Proof was skipped',
  ]);
});

test('what happened when: steps by their timers, notes between them, in order', () => {
  const bake = testBake([
    weigh('salt', 10),
    { type: 'stepDone', stepId: 'mix' },
    { type: 'timerStarted', stepId: 'proof', durationS: 3600 },
    { type: 'noted', text: 'slow today' },
    { type: 'stepDone', stepId: 'proof' },
  ]);
  show(<TimeLog bake={bake} state={stateOf(bake)} events={bake.events} />);
  const entries = screen.getAllByRole('listitem').map((entry) => entry.textContent);
  expect(entries).toEqual([
    'Thu 19 Nov 2026',
    '05:02Mix 1 minplanned 5 min',
    '05:04slow today',
    '05:05Proof 2 minplanned 60 – 90 min',
  ]);
});

test('a card tells how it was, and owns up to a bake given up', () => {
  const outcome: Outcome = {
    ...emptyOutcome,
    massBeforeG: 980,
    massAfterG: 860,
    scores: { ...emptyOutcome.scores, crumb: 4 },
    words: 'Good.',
  };
  const line = (action: BakeAction) => {
    const bake = testBake([action]);
    return { ...bakeCard(bake.sheet, stateOf(bake)), id: bake.id, startedAtMs: bake.startedAtMs };
  };
  show(<BakeCard line={line({ type: 'closed', outcome })} />);
  expect(screen.getByRole('link')).toHaveTextContent(
    /Plain loaf.*2 × 490 g, lost 12.2 %.*Good\..*crumb 4.*crust –/,
  );
  show(<BakeCard line={line({ type: 'abandoned', reason: 'forgot the salt' })} />);
  expect(screen.getByText('forgot the salt', { exact: false })).toHaveTextContent(
    'Abandoned. forgot the salt',
  );
});

describe('what is under way', () => {
  const card = (nowMs: number, ...actions: BakeAction[]) => {
    const bake = testBake(actions);
    const { id, startedAtMs } = bake;
    show(
      <RunningBakes
        bakes={[
          { id, startedAtMs, ...runningCard(bake, stateOf(bake), { heatUpS: () => null, nameOf: () => '' }) },
        ]}
        nowMs={nowMs}
      />,
    );
    return screen.getByTestId('first-call').textContent;
  };
  const lines = testBake().sheet.stages[0]!.lines.map(({ id, massG }) => weigh(id, massG));

  test('names the next thing to weigh, then the next step, then the log', () => {
    expect(card(START_MS)).toContain('300 gnext to weigh: White rice flour, 0 of 7 are in');
    document.body.replaceChildren();
    expect(card(START_MS, ...lines)).toContain('Next: Mix');
    document.body.replaceChildren();
    const done: BakeAction[] = [
      { type: 'stepDone', stepId: 'mix' },
      { type: 'stepDone', stepId: 'proof' },
    ];
    expect(card(START_MS, ...lines, weigh('poppy-seed', 10), ...done)).toContain('look, taste and log it');
  });

  test('puts the timer that is up first', () => {
    const timers: BakeAction[] = [
      { type: 'timerStarted', stepId: 'proof', durationS: 3600 },
      { type: 'timerStarted', stepId: 'mix', durationS: 300 },
    ];
    expect(card(START_MS + 9 * 60_000, ...timers)).toContain('+2:00Time is up: Mix, until even');
    expect(screen.getByTestId('other-calls')).toHaveTextContent(
      /^next to weigh: White rice flour.*nowleft of ProofPlain loaf, may wait until 06:3\d51:59$/,
    );
  });

  test('teaches what to do when nothing is', () => {
    show(<RunningBakes bakes={[]} nowMs={START_MS} />);
    expect(screen.getByRole('link', { name: 'Choose a formula' })).toHaveAttribute(
      'href',
      '/k/test/formulas',
    );
  });
});
