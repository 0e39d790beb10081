import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { inLane, inLanes } from './patientQueue';
import { NotComputed } from '@/server/shared';
import type { RunSimulation } from '@/server/simulations';

/** More than a shelf page asks for at once, several times over. */
const MOST_WAITING = 256;

export interface Threads {
  readonly run: RunSimulation;
  readonly close: () => Promise<void>;
}

/** Threads for simulations, beside the one that answers requests: as many as there are other processors, at least one. */
export function openThreads(root: string): Threads {
  const built = path.join(root, '.next', 'simulationThread.mjs');
  const here = existsSync(built) && process.env.NODE_ENV === 'production';
  const pool = new Piscina({
    filename: here ? built : path.join(root, 'src', 'host', 'simulationThread.ts'),
    ...(!here && { execArgv: ['--import', 'tsx'] }),
    minThreads: 0,
    maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    maxQueue: MOST_WAITING,
    idleTimeout: 30_000,
    ...inLanes(),
  });
  return {
    run: async (job, nobody) => {
      if (nobody?.aborted || pool.queueSize >= MOST_WAITING) throw new NotComputed();
      try {
        return (await pool.run(inLane(job), nobody ? { signal: nobody } : {})) as unknown;
      } catch (error) {
        if (nobody?.aborted) throw new NotComputed();
        throw error;
      }
    },
    close: () => pool.destroy(),
  };
}
