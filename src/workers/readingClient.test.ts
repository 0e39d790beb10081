import { readingClient, type ReadingPort } from './readingClient';
import type { ReadingQuestion } from './readingProtocol';

const question = (text: string) => ({ text, stored: [], system: 'metric' as const });

function rig() {
  const ports: (ReadingPort & { asked: ReadingQuestion[]; ended: boolean })[] = [];
  const limits: number[] = [];
  let late: (() => void) | null = null;
  const client = readingClient(
    () => {
      const port = {
        asked: [] as ReadingQuestion[],
        ended: false,
        onmessage: null,
        onerror: null,
        postMessage: (message: ReadingQuestion) => void port.asked.push(message),
        terminate: () => void (port.ended = true),
      };
      ports.push(port);
      return port;
    },
    (ms, then) => {
      limits.push(ms);
      late = then;
      return () => (late = null);
    },
  );
  const hears = (at: number) => ports[at]?.onmessage?.({ data: { kind: 'hears' } });
  return { client, ports, limits, hears, late: () => late?.() };
}
const answer = { ok: false, problem: { code: 'required', path: 'text' } } as const;

test('a text that takes longer than any recipe is ended, and the next gets a thread of its own', async () => {
  const { client, ports, hears, limits, late } = rig();
  const first = client.ask(question('<<<<'));
  hears(0);
  late();
  expect(await first).toEqual({ kind: 'tooLong' });
  expect(ports[0]?.ended).toBe(true);
  const second = client.ask(question('flour'));
  hears(1);
  ports[1]?.onmessage?.({ data: { kind: 'read', id: 2, read: answer } });
  expect(await second).toEqual({ kind: 'read', read: answer });
  const third = client.ask(question('more'));
  expect([ports.length, ports[1]?.asked.length]).toEqual([2, 2]);
  ports[1]?.onerror?.(new Error('died'));
  expect(await third).toEqual({ kind: 'broken' });
  // a thread that is long on its way is not a text that is long to read
  expect(limits).toEqual([60_000, 5000, 60_000, 5000, 60_000, 5000]);
});

test('while the thread is on its way it is asked nothing, and is not sent back for a newer text; one that never comes is broken', async () => {
  const { client, ports, hears, late } = rig();
  const first = client.ask(question('a'));
  const second = client.ask(question('ab'));
  expect(await first).toEqual({ kind: 'left' });
  hears(0);
  expect(ports.map(({ asked, ended }) => [asked.map(({ text }) => text), ended])).toEqual([[['ab'], false]]);
  ports[0]?.onmessage?.({ data: { kind: 'read', id: 2, read: answer } });
  expect(await second).toEqual({ kind: 'read', read: answer });
  // nobody is left to read for: no thread stays behind
  client.cancel();
  expect(ports[0]?.ended).toBe(true);
  const never = rig();
  const waits = never.client.ask(question('a'));
  never.late();
  expect([await waits, never.ports[0]?.ended]).toEqual([{ kind: 'broken' }, true]);
  // stopped while it is on its way: what is asked next does not wait for the one that hangs
  const hangs = client.ask(question('b'));
  client.cancel();
  expect([await hangs, ports[1]?.ended]).toEqual([{ kind: 'left' }, true]);
  const next = client.ask(question('c'));
  hears(1);
  expect(ports[2]?.asked).toEqual([]);
  hears(2);
  expect(ports[2]?.asked.map(({ text }) => text)).toEqual(['c']);
  late();
  expect(await next).toEqual({ kind: 'tooLong' });
});

test('the newest text wins, an answer that comes too late is nobody’s, and reading can be stopped', async () => {
  const { client, ports, hears } = rig();
  const first = client.ask(question('a'));
  hears(0);
  const second = client.ask(question('b'));
  expect(await first).toEqual({ kind: 'left' });
  hears(1);
  ports[1]?.onmessage?.({ data: { kind: 'read', id: 1, read: answer } });
  client.cancel();
  expect(await second).toEqual({ kind: 'left' });
  expect(ports.map(({ ended }) => ended)).toEqual([true, true]);
});
