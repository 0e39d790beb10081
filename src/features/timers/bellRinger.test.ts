import { BellRinger, keyOf, tuneOf, TUNES, type Ring } from './bellRinger';
import type { BoardTimer } from './boardTimer';

const timer = (endMs: number, stepId = 's'): BoardTimer => ({
  kitchen: 'test', bakeId: 'b', bakeName: 'Rolls', stepId, stepKind: 'proof', stepTitle: '', call: null, until: '', endsAtMs: endMs, mayUntilMs: null, localEndMs: endMs,
}); // prettier-ignore
const ALL = { muted: false, early: true, spoken: true };
const S = 1000;

function ringer() {
  const heard: string[] = [];
  const of = new BellRinger({
    ring: (ring: Ring, tune) => heard.push(`${ring} ${tune}`),
    speak: (ring, { stepId }) => heard.push(`say ${ring} ${stepId}`),
    shake: () => heard.push('shake'),
    notify: (_, key) => heard.push(`notify ${key}`),
  });
  /** What is heard between two moments, looked at every second. */
  const between = (fromS: number, toS: number, timers: readonly BoardTimer[], settings = ALL) => {
    heard.length = 0;
    let due = of.tick(fromS * S, timers, settings);
    for (let at = fromS + 1; at <= toS; at += 1) due = of.tick(at * S, timers, settings);
    return { heard: [...heard], due };
  };
  return { of, between };
}

test('called two minutes before, at its time, and again until it is answered', () => {
  const { of, between } = ringer();
  const one = timer(600 * S);
  const tune = tuneOf(one);
  expect(between(0, 479, [one]).heard).toEqual([]);
  expect(between(480, 599, [one]).heard).toEqual([`early ${tune}`, 'say early s']);
  const first = between(600, 601, [one]);
  expect(first.heard).toEqual([`due ${tune}`, 'say due s', 'shake', `notify ${keyOf(one)}`]);
  expect(first.due).toEqual([{ key: keyOf(one), timer: one, missedMs: null }]);
  // every quarter of a minute for two minutes, every minute for half an hour; its notice is not given again
  expect(between(602, 719, [one]).heard.filter((each) => each.startsWith('due'))).toHaveLength(7);
  expect(between(720, 1020, [one]).heard.filter((each) => each.startsWith('due'))).toHaveLength(5);
  expect(between(2400, 4000, [one]).heard).toEqual([]);
  of.answer(keyOf(one));
  expect(between(4001, 4100, [one])).toEqual({ heard: [], due: [] });
  // a minute more is another end, and rings anew
  expect(between(4101, 4110, [timer(4105 * S)]).heard).toContain('shake');
});

test('a device that slept says by how much it missed; one that came long after only shows it', () => {
  const { between } = ringer();
  const one = timer(600 * S);
  between(0, 10, [one]);
  const woken = between(1320, 1321, [one]);
  expect(woken.due[0]?.missedMs).toBe(720 * S);
  expect(woken.heard).toContain('shake');
  const late = ringer().between(1320, 1500, [one]);
  expect(late.due[0]?.missedMs).toBe(720 * S);
  expect(late.heard).toEqual([]);
  // a little after it is heard
  expect(ringer().between(640, 641, [one]).heard).toContain('shake');
});

test('muted it shows and shakes; a timer of a minute is not called early; two have tunes of their own', () => {
  const { between } = ringer();
  const muted = between(0, 700, [timer(600 * S)], { ...ALL, muted: true });
  expect(muted.heard.filter((each) => each !== 'shake' && !each.startsWith('notify'))).toEqual([]);
  expect(muted.due).toHaveLength(1);
  expect(ringer().between(0, 59, [timer(60 * S)]).heard).toEqual([]);
  const tunes = new Set(Array.from({ length: 60 }, (_, at) => tuneOf({ bakeId: 'b', stepId: `s${at}` })));
  expect(tunes.size).toBe(TUNES);
}); // prettier-ignore
