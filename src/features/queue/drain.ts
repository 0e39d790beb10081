import type { Problem } from '@/core/result';
import type { Answer } from '../asking/ask';
import type { Queue, Waiting } from './queue';
import { againAfterMs } from './retry';
import { refusalOf, routeOf } from './routes';

export interface DrainDeps {
  readonly queue: Queue;
  readonly post: (path: string, body: unknown) => Promise<Answer<unknown>>;
  /** Tabs that are alive; null: this browser does not tell. */
  readonly aliveTabs: () => Promise<ReadonlySet<string> | null>;
  /** Runs it unless another tab of this browser is just doing the same. */
  readonly alone: (work: () => Promise<void>) => Promise<void>;
  readonly now: () => number;
  readonly wait: (ms: number, then: () => void) => () => void;
}

/** Where tabs cannot be told apart, what another one made is left to it for so long. */
const LEAVE_MS = 15_000;
/** What other tabs leave behind is looked for so often. */
const LOOK_MS = 5000;

interface TapAnswer {
  readonly results?: readonly { readonly eventId: string; readonly problem: Problem | null }[];
}

/**
 * Sends what no page sends itself: left behind by a tab that was closed, or by a page of this one that was left. Pages that are open send
 * their own.
 */
export class Drain {
  private failures = 0;
  private running = false;
  private stopped = false;
  private cancel: () => void = () => undefined;

  constructor(private readonly deps: DrainDeps) {}

  start(): () => void {
    this.later(0);
    return () => {
      this.stopped = true;
      this.cancel();
    };
  }

  /** Looks now: the network is back, or somebody looks at the page again. */
  now = (): void => this.later(0);

  private later(ms: number): void {
    this.cancel();
    if (!this.stopped) this.cancel = this.deps.wait(ms, () => void this.round());
  }

  private async round(): Promise<void> {
    if (this.running || this.stopped) return;
    this.running = true;
    let reached = true;
    try {
      await this.deps.queue.open();
      await this.deps.alone(async () => {
        await this.deps.queue.refresh();
        reached = await this.sendAll();
      });
    } catch {
      reached = false;
    }
    this.running = false;
    this.failures = reached ? 0 : this.failures + 1;
    this.later(reached ? LOOK_MS : againAfterMs(this.failures - 1));
  }

  private async mine(): Promise<Waiting[]> {
    const { queue, now } = this.deps;
    const candidates = queue.snapshot.filter(
      ({ lane, refused }) => !refused && routeOf(lane) && !queue.isHeld(lane),
    );
    if (candidates.length === 0) return [];
    const alive = await this.deps.aliveTabs();
    return candidates.filter(({ tab, madeAtMs }) =>
      tab === queue.tab ? true : alive ? !alive.has(tab) : now() - madeAtMs > LEAVE_MS,
    );
  }

  private async sendAll(): Promise<boolean> {
    const lanes = new Map<string, Waiting[]>();
    for (const entry of await this.mine()) lanes.set(entry.lane, [...(lanes.get(entry.lane) ?? []), entry]);
    for (const [lane, entries] of lanes) {
      if (!(await this.sendLane(lane, entries))) return false;
    }
    return true;
  }

  private async sendLane(lane: string, entries: readonly Waiting[]): Promise<boolean> {
    const route = routeOf(lane);
    if (!route) return true;
    const { queue, post, now } = this.deps;
    for (let at = 0, atOnce = route.atOnce; at < entries.length;) {
      if (queue.isHeld(lane)) return true;
      const batch = entries.slice(at, at + atOnce);
      const answer = await post(route.path(batch, now()), route.body(batch, now()));
      if (answer.kind === 'unreachable') return false;
      const refused = refusalOf(answer, now());
      if (refused && batch.length > 1) {
        // one of them is not to be taken: singly, so that it does not take the others down with it
        atOnce = 1;
        continue;
      }
      const [only] = batch;
      if (refused && only) await queue.refuse(only.id, refused);
      else if (answer.kind === 'ok') await this.settle(batch, answer.value as TapAnswer);
      at += batch.length;
    }
    return true;
  }

  /** Taps are answered one by one: some may have come too late to count. */
  private async settle(batch: readonly Waiting[], { results = [] }: TapAnswer): Promise<void> {
    const { queue, now } = this.deps;
    const problems = new Map(results.map(({ eventId, problem }) => [eventId, problem]));
    const bad = batch.filter(({ id }) => {
      const problem = problems.get(id);
      return problem && problem.code !== 'alreadyDone';
    });
    await queue.remove(batch.filter((entry) => !bad.includes(entry)).map(({ id }) => id));
    for (const { id } of bad)
      await queue.refuse(id, { why: 'invalid', problem: problems.get(id) ?? null, atMs: now() });
  }
}
