import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import type { SimulationKind } from '@/server/simulations';
import { inLane, inLanes } from './patientQueue';

test('what a page is empty without goes before a list’s marks, the oldest first; what was given up is taken out', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'lanes-'));
  const filename = path.join(folder, 'thread.mjs');
  await writeFile(
    filename,
    'export default ({ kind }) => new Promise((done) => setTimeout(done, 20, kind));',
  );
  const pool = new Piscina({
    filename,
    maxThreads: 1,
    minThreads: 1,
    ...inLanes(),
  });
  try {
    const done: string[] = [];
    const gone = new AbortController();
    const run = (kind: SimulationKind, name: string, signal?: AbortSignal) =>
      pool.run(inLane({ kind }), signal ? { signal } : {}).then(
        (answer) => done.push(`${String(answer)} ${name}`),
        () => done.push(`gone ${name}`),
      );
    // the thread is busy with it when the others come
    const first = run('slice', 'a');
    const others = [
      run('slice', 'b'),
      run('slice', 'c', gone.signal),
      run('forecast', 'd'),
      run('advice', 'e'),
      run('axes', 'f'),
    ];
    gone.abort();
    await Promise.all([first, ...others]);
    expect(done).toEqual(['gone c', 'slice a', 'advice e', 'axes f', 'forecast d', 'slice b']);
  } finally {
    await pool.destroy();
    await rm(folder, { recursive: true });
  }
});
