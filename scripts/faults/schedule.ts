import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { writeFormulaFile } from '@/core/formats';
import { plainLoaf } from '@/core/formula/testFormulas';
import { eightRolls } from '@/core/batch/testBatch';
import { randomUUID } from 'node:crypto';
import type { Crumb } from './crumb';
import { Writer, type Tally } from './writer';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export const FAULTS = [
  'killServer',
  'killDatabase',
  'killBoth',
  'killBackend',
  'stopServer',
  'stopTwice',
  'stopDatabase',
  'freezeDatabase',
  'freezeServer',
  'fullDisk',
] as const;
export type Fault = (typeof FAULTS)[number];

/** Fills what is left of a small disk of its own, and empties it again. */
async function fullDisk(crumb: Crumb, forMs: number): Promise<boolean> {
  const file = path.join(crumb.folder, 'filler');
  const { bsize, bavail, blocks } = statfsSync(crumb.folder);
  // only ever a disk made for this: never the machine's own
  if (bsize * blocks > 1_000_000_000) return false;
  try {
    writeFileSync(file, Buffer.alloc(Math.max(0, bsize * (bavail - 1))));
  } catch {
    // full enough
  }
  await pause(forMs);
  rmSync(file, { force: true });
  return true;
}

async function fault(crumb: Crumb, kind: Fault, random: () => number, tally: Tally): Promise<void> {
  const stopInTime = async (signal: NodeJS.Signals, withinMs: number) => {
    crumb.signal(signal);
    if (await crumb.gone(withinMs)) return;
    tally.hung += 1;
    tally.notes.push(`${kind}: still there ${withinMs} ms after ${signal}`);
    crumb.signal('SIGKILL');
    await crumb.gone(3000);
  };
  switch (kind) {
    case 'killServer':
      crumb.signal('SIGKILL');
      await crumb.gone(3000);
      break;
    case 'killDatabase':
      crumb.signalDatabase('SIGKILL');
      break;
    case 'killBoth':
      crumb.signal('SIGKILL');
      crumb.signalDatabase('SIGKILL');
      await crumb.gone(3000);
      break;
    case 'killBackend': {
      const [, ...children] = crumb.databaseProcesses;
      const pid = children[Math.floor(random() * children.length)];
      try {
        if (pid) process.kill(pid, 'SIGKILL');
      } catch {
        // gone by itself
      }
      break;
    }
    case 'stopServer':
      await stopInTime(random() < 0.5 ? 'SIGINT' : 'SIGTERM', 16_000);
      break;
    case 'stopTwice':
      crumb.signal('SIGINT');
      await pause(random() * 300);
      await stopInTime('SIGINT', 3000);
      break;
    case 'stopDatabase':
      // somebody stops it from outside, politely
      crumb.signalDatabase('SIGINT');
      break;
    case 'freezeDatabase': {
      const pids = crumb.databaseProcesses;
      crumb.signalDatabase('SIGSTOP', true);
      await pause(200 + random() * 2500);
      // one that was born between the two looks was stopped too, and may hold what all the others wait for
      for (const pid of new Set([...pids, ...crumb.databaseProcesses])) {
        try {
          process.kill(pid, 'SIGCONT');
        } catch {
          // gone by itself
        }
      }
      break;
    }
    case 'freezeServer':
      crumb.signal('SIGSTOP');
      await pause(100 + random() * 1500);
      crumb.signal('SIGCONT');
      break;
    case 'fullDisk':
      await fullDisk(crumb, 300 + random() * 1200);
      break;
  }
  if (!crumb.alive) {
    if ((await crumb.up()) !== null) return;
    // an attempt may have been told that the disk was full, say: the next has to come
    if ((await crumb.up()) !== null) return;
    tally.hung += 1;
    tally.notes.push(`after ${kind} it does not start: ${crumb.output.slice(-600)}`);
  }
}

async function post<T>(crumb: Crumb, url: string, body: object): Promise<T> {
  const answer = await fetch(crumb.url + url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

/**
 * One schedule: two writers on one formula, others on the kit, on a bake and with imports, while faults fall at moments of chance.
 * Afterwards everything that was acknowledged is there, once.
 */
export async function runSchedule(
  crumb: Crumb,
  seed: number,
  random: () => number,
  tally: Tally,
): Promise<Fault[]> {
  const mark = (kind: string, index: number) => `${kind}-${seed}-${index}`;
  const formula = await post<{ id: string }>(crumb, '/api/k/-/formulas', {
    requestId: randomUUID(),
    formula: plainLoaf(),
  });
  const bake = await post<{ id: string }>(crumb, '/api/k/-/bakes', {
    requestId: randomUUID(),
    formulaId: formula.id,
    revision: 1,
    batch: eightRolls,
  });
  const until = performance.now() + 60_000;
  const givenUp = () => performance.now() > until;
  const writer = () => new Writer(crumb, tally, random, givenUp);
  const [one, two, kit, taps, imports] = [writer(), writer(), writer(), writer(), writer()] as const;
  const each = async (count: number, work: (index: number) => Promise<void>) => {
    for (let index = 0; index < count; index++) await work(index);
  };
  const file = (name: string) => writeFormulaFile({ ...plainLoaf(), name }, []);
  const warm = (index: number) =>
    Math.round((20 + ((seed * 7 + index) % 2000) / 100 + index / 10_000) * 10_000) / 10_000;
  const fell: Fault[] = [];
  let busy = true;
  const faults = (async () => {
    const count = 1 + Math.floor(random() * 3);
    for (let index = 0; index < count && busy; index++) {
      await pause(random() * 500);
      const kind = FAULTS[Math.floor(random() * FAULTS.length)] ?? 'killServer';
      fell.push(kind);
      await fault(crumb, kind, random, tally);
    }
  })();
  await Promise.all([
    each(5, (index) => one.saveFormula(formula.id, mark('one', index))),
    each(5, (index) => two.saveFormula(formula.id, mark('two', index))),
    each(4, (index) => kit.saveKit(warm(index))),
    each(12, (index) => taps.tap(bake.id, mark('tap', index))),
    each(2, (index) => imports.importFormula(file, mark('import', index))),
  ]);
  busy = false;
  await faults;
  if ((await crumb.up()) === null) {
    tally.hung += 1;
    tally.notes.push(
      `schedule ${seed} (${fell.join(', ')}): not there at the end: ${crumb.output.slice(-600)}`,
    );
    return fell;
  }

  const counted = (rows: { mark: string; count: number }[]) =>
    new Map(rows.map((row) => [row.mark, row.count]));
  const check = (
    what: string,
    writers: readonly Writer[],
    found: ReadonlyMap<string, number>,
    wanted: number,
  ) => {
    const acknowledged = writers.flatMap((each) => [...each.acknowledged]);
    const lost = acknowledged.filter((each) => !found.has(each));
    const doubled = [...found].filter(([, count]) => count > 1);
    tally.lost += lost.length;
    tally.doubled += doubled.length;
    if (acknowledged.length < wanted) {
      tally.hung += wanted - acknowledged.length;
      tally.notes.push(
        `schedule ${seed} (${fell.join(', ')}): ${wanted - acknowledged.length} ${what} were never answered`,
      );
    }
    if (lost.length + doubled.length > 0)
      tally.notes.push(
        `schedule ${seed} (${fell.join(', ')}), ${what}: lost ${lost.join(' ')}; doubled ${doubled.join(' ')}`,
      );
  };
  const names = `select formula ->> 'name' as mark, count(*)::int as count from formula_revision`;
  check(
    'revisions',
    [one, two],
    counted(await crumb.query(`${names} where formula_id = $1 group by 1`, [formula.id])),
    10,
  );
  check(
    'imports',
    [imports],
    counted(await crumb.query(`${names} where formula ->> 'name' like $1 group by 1`, [`import-${seed}-%`])),
    2,
  );
  check(
    'taps',
    [taps],
    counted(
      await crumb.query(
        `select action ->> 'text' as mark, count(*)::int as count from bake_event where bake_id = $1 group by 1`,
        [bake.id],
      ),
    ),
    12,
  );
  const kits = await crumb.query<{ mark: string; count: number }>(
    `select kit ->> 'warmC' as mark, count(*)::int as count from kitchen_kit where kit ->> 'warmC' = any ($1) group by 1`,
    [[0, 1, 2, 3].map((index) => String(warm(index)))],
  );
  check('kits', [kit], counted(kits), 4);
  return fell;
}

/** A disk so small that it can be filled, where this user may make one; else a plain folder, and the disk is never full. */
export function smallDisk(folder: string): { unmount: () => void; small: boolean } {
  mkdirSync(folder, { recursive: true });
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=400m,mode=0755', 'tmpfs', folder], { stdio: 'ignore' });
  } catch {
    return { unmount: () => undefined, small: false };
  }
  return {
    small: true,
    unmount: () => {
      if (existsSync(folder)) execFileSync('umount', ['-l', folder], { stdio: 'ignore' });
    },
  };
}
