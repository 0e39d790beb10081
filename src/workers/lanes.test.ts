import { finish } from '@/core/heat';
import { libraryBook } from '@/core/ingredients';
import { formulaAnswers } from '@/core/notices';
import { forecastRun, ORDINARY_KITCHEN as KITCHEN, runOf, type Run } from '@/core/run';
import { rollsWithMethod } from '@/core/run/testRuns';
import { runClient, type Port } from './client';
import { startLanes } from './lanes';
import type { FromWorker, ToWorker } from './protocol';

const formula = rollsWithMethod();
const { totals, consistency } = formulaAnswers(formula, libraryBook);
const runFor = (roomC: number): Run => {
  const made = runOf(formula, libraryBook, totals, consistency, { ...KITCHEN, roomC });
  if (!made.ok) throw new Error(made.problem.path);
  return made.value;
};
const feel = consistency!;

/** The worker's code on a channel of its own, every message copied as the browser would. */
function workerLike(): Port {
  const port: Port = {
    onmessage: null,
    onerror: null,
    postMessage: (message) => hear(structuredClone(message)),
    terminate: () => undefined,
  };
  const tell = (message: FromWorker) => port.onmessage?.({ data: structuredClone(message) });
  const hear: (message: ToWorker) => void = startLanes(
    tell,
    () => new Promise((resolve) => setImmediate(resolve)),
  );
  return port;
}

test('the worker answers just what Node answers, and says how far it is', async () => {
  const client = runClient(workerLike);
  const seen: number[] = [];
  const answer = await client.ask('forecast', 'run', { run: runFor(21), feel }, ({ done }) =>
    seen.push(done),
  );
  expect(answer).toEqual(finish(forecastRun(runFor(21), feel)));
  expect(seen.length).toBeGreaterThan(5);
  expect([...seen].sort((a, b) => a - b)).toEqual(seen);
});

test('the newest question of a lane wins, other lanes wait their turn, a left lane is left', async () => {
  const client = runClient(workerLike);
  const first = client.ask('forecast', 'run', { run: runFor(18), feel });
  const ghost = client.ask('forecast', 'ghost', { run: runFor(30), feel });
  const second = client.ask('forecast', 'run', { run: runFor(22), feel });
  const third = client.ask('forecast', 'run', { run: runFor(24), feel });
  expect(await first).toBeNull();
  expect(await second).toBeNull();
  expect(await third).toEqual(finish(forecastRun(runFor(24), feel)));
  expect((await ghost)?.ok).toBe(true);
  const left = client.ask('forecast', 'run', { run: runFor(25), feel });
  client.leave('run');
  expect(await left).toBeNull();
});

test('what breaks fails only its own question; a worker that dies fails what waits, and the next is made anew', async () => {
  const ports: Port[] = [];
  const client = runClient(() => {
    const port = workerLike();
    ports.push(port);
    return port;
  });
  const broken = { ...runFor(21), rise: null } as unknown as Run;
  await expect(client.ask('forecast', 'run', { run: broken, feel })).rejects.toThrow();
  const waits = client.ask('forecast', 'run', { run: runFor(21), feel });
  ports[0]!.onerror?.(new Error('killed'));
  await expect(waits).rejects.toThrow('stopped');
  expect((await client.ask('forecast', 'run', { run: runFor(21), feel }))?.ok).toBe(true);
  expect(ports).toHaveLength(2);
});
