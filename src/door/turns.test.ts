import { EventEmitter } from 'node:events';
import type { ServerResponse } from 'node:http';
import { Turns } from './turns';

/** A response as far as a turn looks at it. */
class Client extends EventEmitter {
  destroyed = false;
  leave(): void {
    this.destroyed = true;
    this.emit('close');
  }
  get response(): ServerResponse {
    return this as unknown as ServerResponse;
  }
}

function rig(options = { atOnce: 2, mostWaiting: 3, mostMs: 5000 }) {
  const turns = new Turns(options);
  const made: ((fault?: Error) => void)[] = [];
  const take = (client: Client) =>
    turns.take(
      client.response,
      () => new Promise((resolve, reject) => made.push((fault) => (fault ? reject(fault) : resolve()))),
    );
  return { take, made };
}

test('so many at once, so many waiting, and the next is told at once', async () => {
  const { take, made } = rig();
  const taken = Array.from({ length: 5 }, () => take(new Client()));
  expect(await take(new Client())).toBe('full');
  expect(made).toHaveLength(2);
  for (let done = 0; done < 5; done++) {
    made[done]?.();
    await new Promise(setImmediate);
  }
  expect(await Promise.all(taken)).toEqual(Array(5).fill('done'));
});

test('who leaves before his turn is not served, and makes room', async () => {
  const { take, made } = rig();
  const clients = Array.from({ length: 5 }, () => new Client());
  const taken = clients.map((client) => take(client));
  clients.forEach((client) => client.leave());
  expect(await Promise.all(taken)).toEqual(['done', 'done', 'gone', 'gone', 'gone']);
  expect(made).toHaveLength(2);
  // the two that were under way gave up their turn with their client
  const next = take(new Client());
  await new Promise(setImmediate);
  made[2]?.();
  expect(await next).toBe('done');
  expect(await take(clients[0]!)).toBe('gone');
});

test('whoever reads for ever loses his turn, not his page; a fault is handed on', async () => {
  const { take, made } = rig({ atOnce: 1, mostWaiting: 3, mostMs: 20 });
  const slow = take(new Client());
  const next = take(new Client());
  expect(await slow).toBe('done');
  made[1]?.(new Error('broken'));
  await expect(next).rejects.toThrow('broken');
});
