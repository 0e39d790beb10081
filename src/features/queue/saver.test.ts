import type { Formula } from '@/core/formula';
import { plainLoaf } from '@/core/formula/testFormulas';
import type { Answer } from '../asking/ask';
import { Saver, type SaveWish } from './saver';

type Saved = { revision: number; savedAtMs: number };

/** A saver with a server that answers when and how the test says, and a clock that the test winds. */
function rig() {
  const sent: SaveWish<Formula>[] = [];
  const answers: ((answer: Answer<Saved>) => void)[] = [];
  let waiting: (() => void) | null = null;
  let ids = 0;
  const remembered: (Formula | null)[] = [];
  const saver = new Saver<Formula>(
    {
      post: (body) => {
        sent.push(body);
        return new Promise((resolve) => answers.push(resolve));
      },
      check: (formula) => (formula.name === 'Bad' ? [{ code: 'required', path: 'name' }] : []),
      newId: () => `id-${++ids}`,
      wait: (_, then) => {
        waiting = then;
        return () => {
          if (waiting === then) waiting = null;
        };
      },
      remember: (wish) => remembered.push(wish?.value ?? null),
    },
    { value: plainLoaf(), revision: 1, savedAtMs: 0 },
  );
  const wind = () => {
    const then = waiting;
    waiting = null;
    then?.();
  };
  const answer = async (with_: Answer<Saved>) => {
    answers.shift()?.(with_);
    await Promise.resolve();
    await Promise.resolve();
  };
  const ok = (revision: number): Answer<Saved> => ({ kind: 'ok', value: { revision, savedAtMs: revision } });
  return { saver, sent, remembered, wind, answer, ok, isWaiting: () => waiting !== null };
}
const named = (name: string): Formula => ({ ...plainLoaf(), name });

test('typing is saved once it pauses, as the latest state, on what was seen', async () => {
  const { saver, sent, wind, answer, ok, remembered } = rig();
  saver.change(named('A'));
  saver.change(named('AB'));
  expect(sent).toEqual([]);
  wind();
  expect(sent).toMatchObject([{ requestId: 'id-2', seen: 1, value: { name: 'AB' } }]);
  await answer(ok(2));
  expect(saver.state).toEqual({ kind: 'saved', revision: 2, savedAtMs: 2 });
  expect(remembered.at(-1)).toBeNull();
});

test('what is typed while a save is under way goes after it, on its revision', async () => {
  const { saver, sent, wind, answer, ok } = rig();
  saver.change(named('A'));
  wind();
  saver.change(named('AB'));
  wind();
  expect(sent).toHaveLength(1);
  await answer(ok(2));
  wind();
  expect(sent[1]).toMatchObject({ requestId: 'id-2', seen: 2, value: { name: 'AB' } });
});

test('a save whose fate is unknown is sent again word for word, before anything newer', async () => {
  const { saver, sent, wind, answer, ok } = rig();
  saver.change(named('A'));
  wind();
  await answer({ kind: 'unreachable', full: false });
  expect(saver.state.kind).toBe('unreachable');
  saver.change(named('AB'));
  wind();
  expect(sent[1]).toEqual(sent[0]);
  await answer(ok(2));
  wind();
  expect(sent[2]).toMatchObject({ requestId: 'id-2', seen: 2, value: { name: 'AB' } });
  await answer(ok(3));
  expect(saver.state.kind).toBe('saved');
});

test('a conflict stops the saving until the reader decides; then mine goes on top of theirs', async () => {
  const { saver, sent, wind, answer, ok } = rig();
  saver.change(named('Mine'));
  wind();
  await answer({ kind: 'stale', revision: 5, savedAtMs: 7 });
  saver.change(named('Mine too'));
  wind();
  expect(sent).toHaveLength(1);
  saver.saveOnTop();
  expect(sent[1]).toMatchObject({ seen: 5, value: { name: 'Mine too' } });
  await answer(ok(6));
  expect(saver.revision).toBe(6);
});

test('taking theirs forgets mine', async () => {
  const { saver, wind, answer, remembered } = rig();
  saver.change(named('Mine'));
  wind();
  await answer({ kind: 'stale', revision: 5, savedAtMs: 7 });
  saver.adopt(named('Theirs'), { revision: 5, savedAtMs: 7 });
  expect(saver.settled).toBe(true);
  expect(remembered.at(-1)).toBeNull();
});

test('a sheet that cannot be saved is held back, remembered, and saved once it is mended', async () => {
  const { saver, sent, wind, remembered, isWaiting } = rig();
  saver.change(named('Bad'));
  expect(saver.state.kind).toBe('held');
  expect(isWaiting()).toBe(false);
  expect(remembered.at(-1)?.name).toBe('Bad');
  saver.change(named('Good'));
  wind();
  await Promise.resolve();
  expect(sent).toMatchObject([{ value: { name: 'Good' } }]);
});

test('waiting for the saving to end ends with it, or with what stands in its way', async () => {
  const { saver, answer, ok, wind } = rig();
  expect(await saver.drained(1000)).toBe(true);
  saver.change(named('A'));
  const drained = saver.drained(1000);
  saver.change(named('AB'));
  await answer(ok(2));
  wind();
  await answer(ok(3));
  expect(await drained).toBe(true);
  saver.change(named('Bad'));
  expect(await saver.drained(1000)).toBe(false);
});

test('a change taken back before it was sent is saved already: nothing is sent, nothing waits for ever', async () => {
  const { saver, sent, wind, answer, ok, remembered } = rig();
  saver.change(named('A'));
  wind();
  await answer(ok(2));
  const stored = sent[0]!.value;
  saver.change(named('AB'));
  saver.change(stored);
  expect(await saver.drained(1000)).toBe(true);
  expect(saver.state).toEqual({ kind: 'saved', revision: 2, savedAtMs: 2 });
  expect(sent).toHaveLength(1);
  expect(remembered.at(-1)).toBeNull();
});
