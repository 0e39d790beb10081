import { benchCalls, type CalledBake } from './benchCalls';
import type { RunningCard } from './runningCard';

const MIN = 60_000;
const NOW = 1000 * MIN;
const step = (stepId: string, stepKind: 'proof' | 'bake' | 'shape' = 'proof') => ({
  stepId,
  stepKind,
  stepTitle: '',
  call: null,
});
const bake = (id: string, part: Partial<CalledBake>): CalledBake => ({
  id,
  name: id,
  next: { kind: 'log' },
  then: null,
  oven: null,
  timers: [],
  pausedAtMs: null,
  ...part,
});
const clock = (
  stepId: string,
  endsInMin: number,
  mayForMin: number | null = null,
): RunningCard['timers'][number] => ({
  ...step(stepId),
  bakeId: '',
  bakeName: '',
  until: 'risen',
  endsAtMs: NOW + endsInMin * MIN,
  mayUntilMs: mayForMin === null ? null : NOW + (endsInMin + mayForMin) * MIN,
});
const next = (stepId: string): RunningCard['next'] => ({ kind: 'step', ...step(stepId) });
const told = (bakes: readonly CalledBake[], nowMs = NOW) =>
  benchCalls(bakes, nowMs).map(({ bakeId, asked, state, atMs }) => `${state} ${bakeId} ${asked.kind}${'stepId' in asked ? ` ${asked.stepId}` : ''}${atMs === null ? '' : ` ${(atMs - nowMs) / MIN}`}`); // prettier-ignore

test('a loaf that rises: the oven is next before its load, which waits for the proof; the proof waits by itself', () => {
  const wait = { endsMs: [NOW + 50 * MIN], thenS: 0 };
  const loaf = bake('loaf', {
    next: next('proof'),
    timers: [clock('proof', 50)],
    then: { ...step('bake', 'bake'), wait },
    oven: { stepId: 'bake', ovenId: null, ovenName: 'Deck', setC: 230, plate: 'stone', wait, leadS: 39 * 60 },
  });
  expect(told([loaf])).toEqual(['next loaf light bake 11', 'next loaf step bake 50', 'waits loaf clock proof 50']);
  // eleven minutes on the oven is to be lit now, and nothing is more pressing
  expect(told([loaf], NOW + 12 * MIN)[0]).toBe('now loaf light bake -1');
  // its time is up: it is looked at, and what comes after it is not called before somebody has
  expect(told([loaf], NOW + 51 * MIN).slice(0, 2)).toEqual(['now loaf clock proof -1', 'now loaf light bake -39']);
  expect(told([loaf], NOW + 51 * MIN)).toHaveLength(2);
}); // prettier-ignore

test('over all bakes what can wait least comes first: past all waiting, run out, an oven, hands, the log', () => {
  const bakes = [
    bake('done', {}),
    bake('hands', { next: next('shape') }),
    bake('fresh', { next: { kind: 'weigh', name: 'Rice', massG: 300, done: 0, of: 7 } }),
    bake('weigh', { next: { kind: 'weigh', name: 'Salt', massG: 9, done: 1, of: 7 } }),
    bake('up', { next: next('proof'), timers: [clock('proof', -9, 60)] }),
    bake('burning', { next: next('bake'), timers: [clock('bake', -3, 2)] }),
    bake('later', { next: next('proof'), timers: [clock('proof', 20), clock('soak', 5)] }),
  ];
  expect(told(bakes)).toEqual([
    'now burning clock bake -3',
    'now up clock proof -9',
    'now hands step shape',
    'now weigh weigh',
    'now fresh weigh',
    'now done log',
    'waits later clock soak 5',
    'waits later clock proof 20',
  ]);
}); // prettier-ignore

test('what is begun and what still is to be: an oven for later counts all that comes before its load, and moves on while nobody begins it', () => {
  const wait = { endsMs: [NOW + 10 * MIN, NOW + 30 * MIN], thenS: 20 * 60 };
  const loaf = bake('loaf', { next: next('mix'), oven: { stepId: 'bake', ovenId: null, ovenName: '', setC: 220, plate: null, wait, leadS: 15 * 60 } });
  expect(told([loaf])).toContain('next loaf light bake 35');
  expect(told([loaf], NOW + 40 * MIN)).toContain('next loaf light bake 5');
  // two for one oven: the first of them is told
  const later = bake('later', { ...loaf, id: 'later', oven: { ...loaf.oven!, leadS: 5 * 60 } });
  expect(told([later, loaf]).filter((each) => each.includes('light'))).toEqual(['next loaf light bake 35']);
}); // prettier-ignore
