import { BellRinger } from './bellRinger';
import { byThisClock, ovensUp, type KitchenOven } from './ovenBell';

const MIN = 60_000;
const oven = (endMs: number, thenS = 0): KitchenOven => ({
  kitchen: 'test',
  bakeId: 'b',
  bakeName: 'Loaf',
  oven: { stepId: 'bake', ovenId: null, ovenName: 'Deck', setC: 230, plate: 'stone', wait: { endsMs: [endMs], thenS }, leadS: 2400 },
}); // prettier-ignore
const name = ({ ovenName }: KitchenOven['oven']) => `Light ${ovenName}`;

test('an oven is called when what it takes to be hot is all that is left, by this device’s clock, once', () => {
  const since = new Map<string, number>();
  const here = byThisClock(oven(105 * MIN, 600), 5 * MIN);
  const at = (minute: number) => ovensUp([here], minute * MIN, since, name).map(({ stepTitle, localEndMs }) => [stepTitle, localEndMs / MIN]);
  expect(at(69)).toEqual([]);
  expect(at(70)).toEqual([['Light Deck', 70]]);
  // late: it is the same call, however long nobody lights it
  expect(at(140)).toEqual([['Light Deck', 70]]);
  expect(ovensUp([], 141 * MIN, since, name)).toEqual([]);
  // lit, and let go out again
  expect(at(150)).toEqual([['Light Deck', 150]]);
}); // prettier-ignore

test('it rings like any timer, again until it was heard', () => {
  const rings: number[] = [];
  const since = new Map<string, number>();
  const ringer = new BellRinger({ ring: () => rings.push(1), speak: () => undefined, shake: () => undefined, notify: () => undefined });
  const settings = { muted: false, early: true, spoken: true };
  const tick = (s: number) => ringer.tick(70 * MIN + s * 1000, ovensUp([oven(110 * MIN)], 70 * MIN + s * 1000, since, name), settings);
  for (let s = -5; s < 40; s++) tick(s);
  // at its time, and every 15 s
  expect(rings).toHaveLength(3);
  ringer.answer(tick(40)[0]?.key ?? '');
  for (let s = 41; s < 200; s++) tick(s);
  expect(rings).toHaveLength(3);
}); // prettier-ignore
