import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BakeAction } from '@/core/bake';
import { InstrumentBoard } from '../instruments/instrumentBoard';
import { InstrumentsProvider } from '../instruments/InstrumentsProvider';
import { START_MS, show, testBake } from '../testKitchen';
import { WeighByScale } from './WeighByScale';

/** A scale on the bench, and one line of the loaf on it: 200 g of tapioca, 4 g (2 %) either way. */
function onScale({ wantedG = 200, inG = 0 } = {}) {
  let now = START_MS;
  const board = new InstrumentBoard(() => now);
  const told: BakeAction[] = [];
  const line = testBake().sheet.stages.flatMap(({ lines }) => lines).find(({ id }) => id === 'tapioca-starch')!;
  const shows = (value: number, state = 'steady') => act(() => {
    now += 300;
    board.put([{ id: 'big', name: 'Big scale', kind: 'scale', stepG: 1, addedAtMs: 0, last: { atMs: now, value, state } }]);
  });
  shows(812);
  show(
    <InstrumentsProvider board={board}>
      <WeighByScale scaleId="big" line={line} stageName="Dough" onDone={(action) => told.push(action)} byEye={<p>By eye instead</p>}
        weighing={{ wantedG, inG, isIn: false, isOut: false, parts: 0, beforeG: 0 }} />
    </InstrumentsProvider>,
  );
  return { told, shows, later: (ms: number) => act(() => { now += ms; jest.advanceTimersByTime(ms); }), big: () => screen.getByTestId('to-go') };
} // prettier-ignore

const press = userEvent.setup({ advanceTimers: jest.advanceTimersByTime });
beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
  localStorage.clear();
});

test('what is to go counts down while it is poured, and what stands still as meant is taken once, by itself', () => {
  const { told, shows, later, big } = onScale();
  expect(big()).toHaveTextContent('200g to go');
  shows(900, 'moving');
  expect(big()).toHaveTextContent('112g to go');
  shows(1011);
  expect(screen.getByTestId('scale-says')).toHaveTextContent('taken in a moment');
  // one spoon more within the moment: it begins anew
  later(1500);
  shows(1013, 'moving');
  shows(1013);
  later(1500);
  expect(told).toEqual([]);
  later(600);
  shows(1013);
  expect(told).toEqual([{ type: 'weighed', lineId: 'tapioca-starch', massG: 201 }]);
});

test('too much is not taken by itself: it says by how much, and is taken by a press or not at all', async () => {
  const { told, shows, later, big } = onScale({ inG: 50 });
  expect(big()).toHaveTextContent('150g to go');
  shows(812 + 190);
  later(5000);
  expect(big()).toHaveTextContent('40g over');
  expect(told).toEqual([]);
  await press.click(screen.getByRole('button', { name: 'Take 190 g' }));
  // what was in before is in it
  expect(told).toEqual([{ type: 'weighed', lineId: 'tapioca-starch', massG: 240 }]);
});

test('a bowl that is put on is no flour; from there on it is weighed', async () => {
  const { told, shows, later, big } = onScale();
  shows(812 + 640);
  expect(screen.getByTestId('scale-says')).toHaveTextContent('Is that the bowl?');
  await press.click(screen.getByRole('button', { name: 'Begin from here' }));
  expect(big()).toHaveTextContent('200g to go');
  shows(812 + 640 + 198);
  later(2100);
  expect(told).toEqual([{ type: 'weighed', lineId: 'tapioca-starch', massG: 198 }]);
});

test('silent for a while, it goes on with what was on it before: nothing is asked for twice', () => {
  const { told, shows, later, big } = onScale();
  shows(812 + 120, 'moving');
  later(15_000);
  expect(screen.getByText('By eye instead')).toBeVisible();
  shows(812 + 120);
  expect(big()).toHaveTextContent('80g to go');
  // the rest was poured by eye, and it was silent again
  later(15_000);
  shows(812 + 201);
  later(2100);
  expect(told).toEqual([{ type: 'weighed', lineId: 'tapioca-starch', massG: 201 }]);
});

test('what a scale is too coarse for, cannot carry, or no longer tells, is said; silence leaves it to the eye', () => {
  const { told, shows, later } = onScale({ wantedG: 6 });
  shows(818);
  later(3000);
  expect(screen.getByTestId('scale-says')).toHaveTextContent('Too little for this scale');
  expect(told).toEqual([]);
  shows(0, 'overload');
  expect(screen.getByTestId('scale-says')).toHaveTextContent('More than this scale can carry');
  later(15_000);
  expect(screen.getByText('By eye instead')).toBeVisible();
});
