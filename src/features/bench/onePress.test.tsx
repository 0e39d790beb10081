import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMemo, useState } from 'react';
import { bakeState, decideAll, type BakeAction, type BakeState } from '@/core/bake';
import { libraryBook } from '@/core/ingredients';
import { show, START_MS, testBake, testBench } from '../testKitchen';
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
  return view === 'weigh' ? (
    <WeighView bake={bake} bench={bench} onSteps={nothing} />
  ) : (
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
  );
}

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
