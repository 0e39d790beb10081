import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BakeAction } from '@/core/bake';
import { show, START_MS, testBake, testBench } from '../testKitchen';
import { NOT_SHARED, type Shared } from '@/core/day/shared';
import { AdditionDialog } from './AdditionDialog';
import { CleanDown } from './CleanDown';
import { StepView } from './StepView';
import { WeighView } from './WeighView';

const weigh = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const nothing = () => undefined;

function weighing(...actions: BakeAction[]) {
  const bake = testBake(actions);
  const { bench, taps } = testBench(bake);
  show(<WeighView bake={bake} bench={bench} onSteps={nothing} onAllIn={nothing} />);
  return taps;
}

function stepping(chosen: string | null, nowMs: number, ...actions: BakeAction[]) {
  const bake = testBake(actions);
  const { bench, taps } = testBench(bake);
  jest.spyOn(Date, 'now').mockReturnValue(nowMs);
  show(
    <StepView
      onCourse={nothing}
      onWeigh={nothing}
      rising={null}
      bake={bake}
      bench={bench}
      nowMs={nowMs}
      chosen={chosen}
      onChoose={nothing}
    />,
  );
  return taps;
}

afterEach(() => {
  jest.restoreAllMocks();
  localStorage.clear();
});

describe('weighing', () => {
  test('shows the first thing not yet in, and the big button ticks it with its planned grams', async () => {
    const taps = weighing(weigh('white-rice-flour', 300));
    const now = screen.getByRole('region', { name: 'Weigh now' });
    expect(within(now).getByRole('heading')).toHaveTextContent('Tapioca starch');
    expect(screen.getByTestId('target')).toHaveTextContent('200g');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(taps).toEqual([weigh('tapioca-starch', 200)]);
  });

  test('another weight is saved as it was; one that can’t be read can’t be ticked', async () => {
    const taps = weighing();
    await userEvent.click(screen.getByRole('button', { name: 'Other weight' }));
    const actual = screen.getByTestId('actual');
    await userEvent.clear(actual);
    await userEvent.type(actual, 'lots');
    expect(screen.getByRole('button', { name: 'In the bowl' })).toBeDisabled();
    await userEvent.clear(actual);
    await userEvent.type(actual, '0.31 kg');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(taps).toEqual([weigh('white-rice-flour', 310)]);
  });

  test('on a running total the target is bowl and all that is in it, and what is saved is the line’s own', async () => {
    const taps = weighing(weigh('white-rice-flour', 301));
    await userEvent.click(screen.getByRole('radio', { name: 'Running total' }));
    const bowl = screen.getByRole('textbox', { name: /empty bowl/ });
    await userEvent.clear(bowl);
    await userEvent.type(bowl, '700');
    expect(screen.getByTestId('target')).toHaveTextContent('1201g');
    await userEvent.click(screen.getByRole('button', { name: 'Other weight' }));
    const display = screen.getByRole('textbox', { name: 'What the display reads' });
    await userEvent.clear(display);
    await userEvent.type(display, '900');
    expect(screen.getByRole('alert')).toHaveTextContent('more than 1001 g');
    await userEvent.clear(display);
    await userEvent.type(display, '1206');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(taps).toEqual([weigh('tapioca-starch', 205)]);
  });

  test('a ticked line can be taken up again: corrected, or not in yet', async () => {
    const taps = weighing(weigh('salt', 5));
    await userEvent.click(screen.getByRole('button', { name: /^Salt.*in the bowl/ }));
    expect(screen.getByRole('button', { name: 'Correct it' })).toBeDisabled();
    const actual = screen.getByTestId('actual');
    await userEvent.clear(actual);
    await userEvent.type(actual, '10');
    await userEvent.click(screen.getByRole('button', { name: 'Correct it' }));
    await userEvent.click(screen.getByRole('button', { name: /^Salt/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Not in yet' }));
    expect(taps).toEqual([weigh('salt', 10), { type: 'unweighed', lineId: 'salt' }]);
  });

  test('too much water is answered at once: what it makes, and mends that are a press each', async () => {
    const taps = weighing(weigh('white-rice-flour', 300), weigh('water', 462));
    const wrong = await screen.findByTestId('wrong-amount');
    expect(screen.getByTestId('off-by')).toHaveTextContent('+62 g');
    expect(screen.getByTestId('makes')).toHaveTextContent(
      /The dough: .* instead of .*; water 10\d\.\d % instead of 8\d\.\d %/,
    );
    // a knuckle that bounces from the button before answers nothing
    expect(within(wrong).getByRole('button', { name: /Carry on/ })).toBeDisabled();
    await waitFor(() => expect(within(wrong).getByRole('button', { name: /Carry on/ })).toBeEnabled());
    expect(
      within(wrong).getByRole('button', { name: /Put in more: .* white rice flour and .* salt/ }),
    ).toBeVisible();
    await userEvent.click(within(wrong).getByRole('button', { name: /More of everything: 2 of 566 g/ }));
    expect(taps).toMatchObject([{ type: 'mended', lineId: 'water', by: 'moreOfAll' }]);
  });

  test('what was mended is asked for again by what is still missing; its list says so', async () => {
    const actions: BakeAction[] = [
      weigh('white-rice-flour', 300),
      weigh('water', 462),
      {
        type: 'mended',
        lineId: 'water',
        by: 'balance',
        targets: [
          { lineId: 'white-rice-flour', massG: 380 },
          { lineId: 'water', massG: 462 },
        ],
      },
    ];
    const taps = weighing(...actions);
    expect(within(screen.getByRole('region', { name: 'Weigh now' })).getByRole('heading')).toHaveTextContent(
      'White rice flour',
    );
    expect(screen.getByTestId('target')).toHaveTextContent('80g');
    expect(screen.getByTestId('in-already')).toHaveTextContent('300 g of 380 g');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(taps).toEqual([weigh('white-rice-flour', 380)]);
  });

  test('in a jug the display has to show jug and line; the jug is known at the next bake', async () => {
    const first = weighing();
    await userEvent.click(screen.getByRole('radio', { name: 'Jug' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Name of the jug' }), 'steel jug');
    const empty = screen.getByRole('textbox', { name: 'Weight of the empty jug' });
    await userEvent.clear(empty);
    await userEvent.type(empty, '1240');
    await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
    expect(screen.getByTestId('target')).toHaveTextContent('1540g');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(first).toEqual([weigh('white-rice-flour', 300)]);
    cleanup();
    weighing();
    expect(screen.getByRole('button', { name: /^steel jug/ })).toHaveAttribute('aria-pressed', 'true');
    expect(screen.getByTestId('target')).toHaveTextContent('1540g');
  });

  test('a part of it, and the rest; what is left out takes two presses', async () => {
    const taps = weighing({ type: 'weighedPart', lineId: 'white-rice-flour', massG: 120 });
    expect(screen.getByTestId('target')).toHaveTextContent('180g');
    await userEvent.click(screen.getByRole('button', { name: 'Other weight' }));
    const actual = screen.getByTestId('actual');
    await userEvent.clear(actual);
    await userEvent.type(actual, '50');
    await userEvent.click(screen.getByRole('button', { name: /That is a part/ }));
    expect(taps).toEqual([{ type: 'weighedPart', lineId: 'white-rice-flour', massG: 50 }]);
    cleanup();
    const others = weighing();
    await userEvent.click(screen.getByRole('button', { name: 'Other weight' }));
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(others).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Yes, leave it out' }));
    // too soon after the first
    expect(others).toEqual([]);
    jest.spyOn(performance, 'now').mockReturnValue(performance.now() + 800);
    await userEvent.click(screen.getByRole('button', { name: 'Yes, leave it out' }));
    expect(others).toEqual([{ type: 'leftOut', lineId: 'white-rice-flour' }]);
  });

  test('there is not enough: what goes in for it is a press, and is written down as what went in', async () => {
    const taps = weighing(
      ...['white-rice-flour', 'tapioca-starch', 'psyllium-husk', 'water'].map((id) =>
        weigh(id, { 'white-rice-flour': 300, 'tapioca-starch': 200, 'psyllium-husk': 20, water: 400 }[id]!),
      ),
    );
    expect(within(screen.getByRole('region', { name: 'Weigh now' })).getByRole('heading')).toHaveTextContent(
      /egg/i,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Other weight' }));
    await userEvent.click(screen.getByRole('button', { name: 'There is not enough' }));
    const dialog = await screen.findByRole('dialog', { name: /Not enough .*egg/ });
    await userEvent.click(
      within(dialog).getByRole('button', { name: /38 g water, 5.* g sunflower oil.*psyllium powder/ }),
    );
    expect(taps[0]).toEqual({ type: 'leftOut', lineId: 'egg-whole' });
    expect(
      taps.slice(1).every((action) => action.type === 'added' && action.note.startsWith('instead of')),
    ).toBe(true);
  });

  test('in ounces the same grams are shown and saved', async () => {
    const bake = testBake();
    const { bench, taps } = testBench(bake);
    show(<WeighView bake={bake} bench={bench} onSteps={nothing} onAllIn={nothing} />, { massUnit: 'oz' });
    expect(screen.getByTestId('target')).toHaveTextContent('10.6oz');
    await userEvent.click(screen.getByRole('button', { name: 'In the bowl' }));
    expect(taps).toEqual([weigh('white-rice-flour', 300)]);
  });
});

describe('a kitchen that is shared', () => {
  const shared = { ...NOT_SHARED, apart: ['egg' as const], own: ['sieves' as const] };
  const card = (of: Shared, ...actions: BakeAction[]) => {
    const { bench, taps } = testBench(testBake(actions));
    show(<CleanDown shared={of} bench={bench} />);
    return taps;
  };

  test('is cleaned down before the first flour, and that is kept with the bake', async () => {
    const taps = card(shared);
    expect(screen.getByTestId('clean-down')).toHaveTextContent('then only your own sieves');
    await userEvent.click(screen.getByRole('button', { name: 'All of it is clean' }));
    expect(taps).toEqual([{ type: 'cleanedDown' }]);
  });

  test('not where it is shared with nothing, where it was done, or when flour is in already', () => {
    card(NOT_SHARED);
    card(shared, { type: 'cleanedDown' });
    card(shared, weigh('white-rice-flour', 300));
    expect(screen.queryByTestId('clean-down')).toBeNull();
  });
});

describe('steps', () => {
  test('a timed step starts its timer with the short end; an untimed one is only done', async () => {
    const taps = stepping('proof', START_MS);
    expect(screen.getByRole('region', { name: 'Step now' })).toHaveTextContent('60 – 90 min');
    await userEvent.click(screen.getByRole('button', { name: 'Start 1 h' }));
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(taps).toEqual([
      { type: 'timerStarted', stepId: 'proof', durationS: 3600 },
      { type: 'stepDone', stepId: 'proof' },
    ]);
  });

  test('a dough that feels wetter than it was meant to: its own flour is worked in by one press', async () => {
    const all = testBake().sheet.stages[0]!.lines.map(({ id, massG }) => weigh(id, massG));
    const taps = stepping('mix', START_MS, ...all, { type: 'felt', stepId: 'mix', band: 'thickBatter' });
    const card = screen.getByTestId('felt-wrong');
    const button = within(card).getByRole('button', { name: /Work in \d+ g white rice flour and .* g salt/ });
    await waitFor(() => expect(button).toBeEnabled());
    await userEvent.click(button);
    expect(taps).toMatchObject([{ type: 'mended', lineId: 'white-rice-flour', by: 'balance' }]);
    cleanup();
    stepping('mix', START_MS, ...all, { type: 'felt', stepId: 'mix', band: 'soft' });
    expect(screen.getByTestId('felt-wrong')).toHaveTextContent(/Drier than.*Work in \d+ g water/);
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(screen.queryByTestId('felt-wrong')).toBeNull();
  }); // prettier-ignore

  test('a running timer shows what is left by the server’s clock and takes more time', async () => {
    const taps = stepping('proof', START_MS + 11 * 60_000, {
      type: 'timerStarted',
      stepId: 'proof',
      durationS: 3600,
    });
    expect(screen.getByTestId('clock')).toHaveTextContent('50:00');
    await userEvent.click(screen.getByRole('button', { name: '5 min' }));
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(taps).toEqual([
      { type: 'timerChanged', stepId: 'proof', deltaS: 300 },
      { type: 'timerStopped', stepId: 'proof' },
    ]);
  });

  test('a timer that is over says so in words and counts on', () => {
    stepping('mix', START_MS + 8 * 60_000, { type: 'timerStarted', stepId: 'mix', durationS: 300 });
    expect(screen.getByTestId('clock')).toHaveTextContent('+2:00');
    expect(screen.getByText('time is up: look at it')).toBeInTheDocument();
  });

  test('how far it has risen is marked with one tap, or as a figure; nonsense is refused; the last mark goes back', async () => {
    const marked: BakeAction = { type: 'rise', stepId: 'proof', of: 'dough', grownPercent: 20 };
    const taps = stepping('proof', START_MS, marked);
    expect(screen.getByTestId('rise-marks')).toHaveTextContent('dough +20 %');
    await userEvent.click(screen.getByRole('button', { name: 'Mark the rise' }));
    const dialog = await screen.findByRole('dialog', { name: 'How far has it risen?' });
    // what was marked last is marked again
    expect(within(dialog).getByRole('radio', { name: /^dough/ })).toBeChecked();
    await userEvent.click(within(dialog).getByRole('button', { name: 'Save the mark' }));
    expect(within(dialog).getByRole('alert')).toHaveTextContent('Say how far');
    await userEvent.type(within(dialog).getByRole('textbox', { name: /Risen by/ }), '900');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Save the mark' }));
    expect(taps).toEqual([]);
    await userEvent.click(within(dialog).getByRole('radio', { name: /^jar/ }));
    await userEvent.click(within(dialog).getByRole('button', { name: '+50 %' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await userEvent.click(screen.getByRole('button', { name: /undo the last one/ }));
    expect(taps).toEqual([
      { type: 'rise', stepId: 'proof', of: 'jar', grownPercent: 50 },
      { type: 'riseTakenBack', stepId: 'proof' },
    ]);
  });

  test('how it feels is said with one tap, and said again it is a correction', async () => {
    const taps = stepping('mix', START_MS, { type: 'felt', stepId: 'mix', band: 'sticky' });
    await userEvent.click(screen.getByRole('button', { name: 'Feels sticky' }));
    const dialog = await screen.findByRole('dialog', { name: 'How does it feel?' });
    expect(within(dialog).getByRole('button', { name: /^Sticky/ })).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(within(dialog).getByRole('button', { name: /^Soft, shapes/ }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(taps).toEqual([{ type: 'felt', stepId: 'mix', band: 'soft' }]);
  });

  test('a step done by mistake is opened again', async () => {
    const taps = stepping('mix', START_MS, { type: 'stepDone', stepId: 'mix' });
    await userEvent.click(screen.getByRole('button', { name: 'Mark as not done' }));
    expect(taps).toEqual([{ type: 'stepReopened', stepId: 'mix' }]);
  });
});

test('what went in extra needs a name and a weight, and takes a reason', async () => {
  const { bench, taps } = testBench(testBake());
  const closed: boolean[] = [];
  show(<AdditionDialog onClose={() => closed.push(false)} tap={bench.tap} />);
  await userEvent.click(screen.getByRole('button', { name: 'Save it' }));
  expect(screen.getByRole('alert')).toHaveTextContent('Say what went in');
  await userEvent.click(screen.getByRole('button', { name: 'Water' }));
  await userEvent.type(screen.getByTestId('extra-mass'), '15');
  await userEvent.type(screen.getByRole('textbox', { name: 'Why it went in' }), 'cracked');
  await userEvent.click(screen.getByRole('button', { name: 'Save it' }));
  expect(taps).toEqual([{ type: 'added', ingredientId: 'water', massG: 15, note: 'cracked' }]);
  expect(closed).toEqual([false]);
  // for shaping, on the board: said, since only what is taken up of it counts
  await userEvent.click(screen.getByLabelText(/^On the board/));
  await userEvent.click(screen.getByRole('button', { name: 'Save it' }));
  expect(taps[1]).toMatchObject({ type: 'added', bench: true });
});
