import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMemo, useState } from 'react';
import { bakeState, decideAll, type BakeAction, type BakeState, type Round } from '@/core/bake';
import { libraryBook } from '@/core/ingredients';
import { show, START_MS, testBake, testBench } from '../testKitchen';
import { RoundTarget } from './Round';
import { StepView } from './StepView';
import { WeighView } from './WeighView';

const nothing = () => undefined;

/** A bench that draws itself anew after each tap, as the real one does. */
function LiveBench({ view, taps }: { view: 'weigh' | 'steps'; taps: BakeAction[] }) {
  const bake = useMemo(() => testBake(), []);
  const [state, setState] = useState<BakeState>(() => bakeState(bake.startedAtMs, []));
  const [chosen, setChosen] = useState<string | null>(null);
  const bench = {
    ...testBench(bake).bench,
    state,
    tap: (...actions: readonly BakeAction[]) => {
      const decided = decideAll(bake.sheet, state, actions, START_MS, libraryBook);
      if (!decided.ok) return decided.problem;
      taps.push(...actions);
      setState(decided.value.after);
      return null;
    },
  };
  /** Pressed on another device: its press comes in, and nothing was pressed here. */
  const elsewhere = (action: BakeAction) => () => {
    const decided = decideAll(bake.sheet, state, [action], START_MS, libraryBook);
    if (decided.ok) setState(decided.value.after);
  };
  return view === 'weigh' ? (
    <>
      <WeighView bake={bake} bench={bench} onSteps={nothing} onAllIn={nothing} />
      <button onClick={elsewhere({ type: 'weighed', lineId: 'white-rice-flour', massG: 300 })}>
        elsewhere
      </button>
    </>
  ) : (
    <>
      <StepView
        onCourse={nothing}
        onWeigh={nothing}
        rising={null}
        bake={bake}
        bench={bench}
        nowMs={START_MS}
        chosen={chosen}
        onChoose={setChosen}
      />
      <button onClick={elsewhere({ type: 'stepDone', stepId: 'mix' })}>elsewhere</button>
    </>
  );
}

/** A load that another device puts in. */
function LiveRound({ taps }: { taps: BakeAction[] }) {
  const bake = useMemo(() => testBake(), []);
  const [state, setState] = useState<'open' | 'running'>('open');
  const step = { ...bake.sheet.steps[0]!, id: 'boil', minS: 30, maxS: 30 };
  const call = { wayName: null, load: { at: 1, of: 2 }, side: null, time: null, pieces: 2 };
  const round: Round = { calls: [{ step, call, state, timer: null, look: null }], at: 0, next: null, goesOn: false, hotAgainMs: null };
  const tap = (...actions: readonly BakeAction[]) => {
    taps.push(...actions);
    return null;
  };
  return (
    <>
      <RoundTarget round={round} bench={{ ...testBench(bake).bench, tap }} now={START_MS} steady onGo={nothing} />
      <button onClick={() => setState('running')}>elsewhere</button>
    </>
  );
} // prettier-ignore

describe('a knuckle that bounces on the big button', () => {
  test('ticks one line, and the next only once it could be seen', async () => {
    const taps: BakeAction[] = [];
    show(<LiveBench view="weigh" taps={taps} />);
    const button = () => screen.getByRole('button', { name: 'In the bowl' });
    await userEvent.click(button());
    expect(screen.getByRole('region', { name: 'Weigh now' })).toHaveTextContent('Tapioca starch');
    await userEvent.click(button());
    expect(taps).toEqual([{ type: 'weighed', lineId: 'white-rice-flour', massG: 300 }]);
    await waitFor(() => expect(button()).toBeEnabled());
    await userEvent.click(button());
    expect(taps).toHaveLength(2);
  });

  test('weighs nothing that came under the finger because another device pressed first', async () => {
    const taps: BakeAction[] = [];
    show(<LiveBench view="weigh" taps={taps} />);
    const button = () => screen.getByRole('button', { name: 'In the bowl' });
    await userEvent.click(screen.getByRole('button', { name: 'elsewhere' }));
    await userEvent.click(button());
    expect(screen.getByRole('region', { name: 'Weigh now' })).toHaveTextContent('Tapioca starch');
    expect(taps).toEqual([]);
    await waitFor(() => expect(button()).toBeEnabled());
    await userEvent.click(button());
    expect(taps).toMatchObject([{ type: 'weighed', lineId: 'tapioca-starch' }]);
  });

  test('begins no step that came under the finger because another device ended the one before', async () => {
    const taps: BakeAction[] = [];
    show(<LiveBench view="steps" taps={taps} />);
    await userEvent.click(screen.getByRole('button', { name: 'elsewhere' }));
    const start = () => screen.getByRole('button', { name: 'Start 1 h' });
    await userEvent.click(start());
    expect(taps).toEqual([]);
    await waitFor(() => expect(start()).toBeEnabled());
    await userEvent.click(start());
    expect(taps).toMatchObject([{ type: 'timerStarted', durationS: 3600 }]);
  });

  test('turns no load that another device put in a moment before', async () => {
    const taps: BakeAction[] = [];
    show(<LiveRound taps={taps} />);
    await userEvent.click(screen.getByRole('button', { name: 'elsewhere' }));
    const target = screen.getAllByRole('button')[0]!;
    await userEvent.click(target);
    expect(taps).toEqual([]);
    const later = performance.now() + 1000;
    const clock = jest.spyOn(performance, 'now').mockReturnValue(later);
    await userEvent.click(target);
    clock.mockRestore();
    expect(taps).toEqual([{ type: 'stepDone', stepId: 'boil' }]);
  });

  test('what stays out of a mix is said, before it begins', async () => {
    const taps: BakeAction[] = [];
    show(<LiveBench view="steps" taps={taps} />);
    await userEvent.click(screen.getByRole('button', { name: 'Start 5 min' }));
    await userEvent.click(screen.getByRole('button', { name: 'It stays out' }));
    expect(taps.filter(({ type }) => type === 'leftOut').length).toBeGreaterThan(3);
    expect(taps.at(-1)).toEqual({ type: 'timerStarted', stepId: 'mix', durationS: 300 });
  });

  test('finishes one step, not two', async () => {
    const taps: BakeAction[] = [];
    show(<LiveBench view="steps" taps={taps} />);
    const done = () => screen.getByRole('button', { name: 'Done' });
    await userEvent.click(screen.getByRole('button', { name: 'Start 5 min' }));
    // what is not in yet is asked for first
    expect(screen.getByTestId('missing-first')).toHaveTextContent('White rice flour');
    await userEvent.click(screen.getByRole('button', { name: 'It is in, not weighed' }));
    await userEvent.click(done());
    await userEvent.dblClick(screen.getByRole('button', { name: 'Start 1 h' }));
    expect(taps.map(({ type }) => type)).toEqual(['timerStarted', 'stepDone']);
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start 1 h' })).toBeEnabled());
  });
});
