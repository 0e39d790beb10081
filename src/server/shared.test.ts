import { NotComputed, Shared } from './shared';

const later = () => new Promise((resolve) => setTimeout(resolve, 0));

/** Work that ends when it is told to, or is given up. */
function rig() {
  const shared = new Shared<string>();
  let begun = 0;
  let finish: (answer: string) => void = () => undefined;
  const ask = (gone?: AbortSignal) =>
    shared.get('x', gone, (nobody) => {
      begun += 1;
      return new Promise((resolve, reject) => {
        finish = resolve;
        nobody.addEventListener('abort', () => reject(new NotComputed()));
      });
    });
  return { ask, begun: () => begun, finish: (answer: string) => finish(answer) };
}

test('two who ask at once share one computing; whoever comes later begins anew', async () => {
  const { ask, begun, finish } = rig();
  const both = Promise.all([ask(), ask()]);
  finish('one');
  expect(await both).toEqual([{ value: 'one' }, { value: 'one' }]);
  const next = ask();
  finish('two');
  expect([await next, begun()]).toEqual([{ value: 'two' }, 2]);
});

test('one who leaves costs the others nothing; when all have left it is given up', async () => {
  const { ask, begun, finish } = rig();
  const [first, second] = [new AbortController(), new AbortController()];
  const [stays, leaves] = [ask(first.signal), ask(second.signal)];
  second.abort();
  await later();
  finish('one');
  expect(await stays).toEqual({ value: 'one' });
  await leaves;
  const alone = ask(first.signal);
  first.abort();
  expect([await alone, begun()]).toEqual([null, 2]);
  expect(await ask(first.signal)).toBeNull();
  expect(begun()).toBe(2);
});

test('a fault of the work is told to everybody who waits', async () => {
  const shared = new Shared<string>();
  const ask = () => shared.get('x', undefined, () => Promise.reject(new Error('broken')));
  await expect(Promise.all([ask(), ask()])).rejects.toThrow('broken');
});
