import { screen } from '@testing-library/react';
import type { BakeAction } from '@/core/bake';
import { show, testBake, testBench } from '../testKitchen';
import { UndoBar } from './UndoBar';

const salt: BakeAction = { type: 'weighed', lineId: 'salt', massG: 10 };
const water: BakeAction = { type: 'weighed', lineId: 'water', massG: 400 };

/** What the bar says where salt was weighed here last and somebody else did something since. */
function bar(by: string | undefined, since: BakeAction) {
  const bake = testBake([salt, since]);
  const { bench } = testBench(bake);
  const events = [bake.events[0]!, { ...bake.events[1]!, ...(by !== undefined && { by }) }];
  show(<UndoBar sheet={bake.sheet} bench={{ ...bench, last: salt, outbox: { ...bench.outbox, events } }} />);
  const can = screen.queryByRole('button', { name: 'Take it back' }) !== null;
  return [screen.getByRole('status').textContent, can];
}

test.each([
  ['what another did stands with the name, and is theirs to take back', 'Imke', water, ['Imke: Water: 400 g in', false]],
  ['what has no words hides nothing', 'Imke', { type: 'reading', of: 'room', tempC: 21, stepId: null }, ['Salt: 10 g in', true]],
  ['nobody said who: it may be this bench', undefined, water, ['Salt: 10 g in', true]],
] as const)('%s', (_, by, since, expected) => {
  expect(bar(by, since)).toEqual(expected);
}); // prettier-ignore
