import { readingClient, type ReadingPort } from './readingClient';
import type { ReadingQuestion } from './readingProtocol';

const question = (text: string) => ({ text, stored: [], system: 'metric' as const });

function rig() {
  const ports: (ReadingPort & { asked: ReadingQuestion[]; ended: boolean })[] = [];
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
    (_, then) => {
      late = then;
      return () => (late = null);
    },
  );
  return { client, ports, late: () => late?.() };
}
const answer = { ok: false, problem: { code: 'required', path: 'text' } } as const;

test('a text that takes longer than any recipe is ended, and the next gets a thread of its own', async () => {
  const { client, ports, late } = rig();
  const first = client.ask(question('<<<<'));
  late();
  expect(await first).toEqual({ kind: 'tooLong' });
  expect(ports[0]?.ended).toBe(true);
  const second = client.ask(question('flour'));
  ports[1]?.onmessage?.({ data: { id: 2, read: answer } });
  expect(await second).toEqual({ kind: 'read', read: answer });
  const third = client.ask(question('more'));
  expect([ports.length, ports[1]?.asked.length]).toEqual([2, 2]);
  ports[1]?.onerror?.(new Error('died'));
  expect(await third).toEqual({ kind: 'broken' });
});

test('the newest text wins, an answer that comes too late is nobody’s, and reading can be stopped', async () => {
  const { client, ports } = rig();
  const first = client.ask(question('a'));
  const second = client.ask(question('b'));
  expect(await first).toEqual({ kind: 'left' });
  ports[1]?.onmessage?.({ data: { id: 1, read: answer } });
  client.cancel();
  expect(await second).toEqual({ kind: 'left' });
  expect(ports.map(({ ended }) => ended)).toEqual([true, true]);
});
