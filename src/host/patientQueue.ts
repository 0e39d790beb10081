import { Piscina } from 'piscina';
import type { SimulationKind } from '@/server/simulations';

type Queue = NonNullable<NonNullable<ConstructorParameters<typeof Piscina>[0]>['taskQueue']>;
type Task = Parameters<Queue['push']>[0];

/** What a page is empty without goes before marks that fill a list in by and by; of what is alike the oldest first. */
const LANES: Readonly<Record<SimulationKind, number>> = {
  rise: 0,
  axes: 0,
  advice: 0,
  forecast: 1,
  slice: 2,
};

/** A job as it waits in its lane. */
export const inLane = <J extends { readonly kind: SimulationKind }>(job: J): J => ({
  ...job,
  [Piscina.queueOptionsSymbol]: { lane: LANES[job.kind] },
});

const laneOf = (task: Task): number => {
  const options = (task as unknown as Readonly<Record<symbol, { readonly lane: number } | undefined>>)[
    Piscina.queueOptionsSymbol
  ];
  return options?.lane ?? 0;
};

/** Jobs that wait for a thread. */
class PatientQueue implements Queue {
  private readonly lanes: Task[][] = [[], [], []];

  get size(): number {
    return this.lanes.reduce((sum, lane) => sum + lane.length, 0);
  }

  shift(): Task | null {
    return this.lanes.find((lane) => lane.length > 0)?.shift() ?? null;
  }

  push(task: Task): void {
    this.lanes[laneOf(task)]!.push(task);
  }

  unshift(task: Task): void {
    this.lanes[laneOf(task)]!.unshift(task);
  }

  remove(task: Task): void {
    const lane = this.lanes[laneOf(task)]!;
    const at = lane.indexOf(task);
    if (at >= 0) lane.splice(at, 1);
  }
}

/** How a pool takes its jobs: one after the other by their lanes; those that were given up are taken out. */
export const inLanes = () => ({
  concurrentTasksPerWorker: 1,
  // what finds no thread free goes back to where it stood
  stricterFIFO: true,
  taskQueue: new PatientQueue(),
});
