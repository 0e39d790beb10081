/**
 * ./crumb soak faults [COUNT] [SEED]: seeded schedules of kills, stops, freezes, a full disk, repeats and racing writers against
 * ./crumb start, and kills of the start itself. Ends with what was lost, doubled and hung; each has to be 0.
 */
import demo from '../src/demo/larkspurLock.json';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededRandom } from '@/core/numeric/seededRandom';
import { Crumb } from './faults/crumb';
import { FAULTS, runSchedule, smallDisk } from './faults/schedule';
import { emptyTally, type Tally } from './faults/writer';

/** As many as the demo kitchen brings along. */
const DEMO_BAKES = demo.bakes.length;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Kills the start itself at a moment of chance, again and again in one home; the next start has to find its way without help. */
async function killStarts(
  folder: string,
  moments: number,
  random: () => number,
  tally: Tally,
): Promise<void> {
  for (let done = 0; done < moments;) {
    const crumb = await Crumb.in(path.join(folder, `start-${done}`));
    for (let kill = 0; kill < 5 && done < moments; kill++, done++) {
      crumb.spawn();
      await pause(random() * (kill === 0 ? 2600 : 1500));
      crumb.signal('SIGKILL');
      await crumb.gone(3000);
      // the power goes for all of it
      if (random() < 0.5) crumb.signalDatabase('SIGKILL', true);
    }
    if ((await crumb.up()) === null) {
      tally.hung += 1;
      tally.notes.push(`killed while starting, it does not start again: ${crumb.output.slice(-800)}`);
    } else {
      const [found] = await crumb.query<{ kitchens: number; bakes: number }>(
        'select (select count(*)::int from kitchen) as kitchens, (select count(*)::int from bake) as bakes',
      );
      if (found?.kitchens !== 1) tally.doubled += 1;
      if (found?.bakes !== DEMO_BAKES) tally.lost += 1;
    }
    await crumb.remove();
  }
}

const count = Number(process.argv[2] ?? 300);
const seed = Number(process.argv[3] ?? 1);
const moments = Math.ceil(count / 6);
const tally = emptyTally();
const fell = new Map<string, number>();
const folder = await mkdtemp(path.join(tmpdir(), 'crumb-faults-'));
// the database's own user has to be able to walk to it
await chmod(folder, 0o755);
const disk = smallDisk(path.join(folder, 'disk'));
if (!disk.small) console.log('No small disk may be made here: schedules with a full disk pass without one.');
const crumb = await Crumb.in(path.join(folder, 'disk', 'home'));
const from = performance.now();
try {
  if ((await crumb.up()) === null) throw new Error(`it does not start: ${crumb.output}`);
  for (let index = 0; index < count; index++) {
    const own = seed * 100_000 + index;
    // a schedule that began with its server gone begins with it back
    if ((await crumb.up()) === null)
      throw new Error(
        `it does not start any more: ${crumb.output.slice(-2000)}\nthe database: ${crumb.databaseState}`,
      );
    for (const kind of await runSchedule(crumb, own, seededRandom(own), tally))
      fell.set(kind, (fell.get(kind) ?? 0) + 1);
    if ((index + 1) % 25 === 0)
      console.log(`${index + 1} schedules, ${Math.round((performance.now() - from) / 1000)} s`);
  }
  await killStarts(folder, moments, seededRandom(seed), tally);
} finally {
  await crumb.remove().catch(() => undefined);
  disk.unmount();
  await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
}

for (const note of tally.notes.slice(0, 40)) console.log(`  ${note}`);
console.log(
  `faults: ${FAULTS.map((kind) => `${kind} ${fell.get(kind) ?? 0}`).join(', ')}, killed while starting ${moments}`,
);
console.log(
  `${count} schedules, seed ${seed}, ${tally.writes} writes in ${Math.round((performance.now() - from) / 1000)} s: ${tally.lost} lost, ${tally.doubled} doubled, ${tally.hung} hung, ${tally.refused} refused, ${tally.fivehundred} answered 500`,
);
const bad = tally.lost + tally.doubled + tally.hung + tally.refused + tally.fivehundred;
process.exit(bad === 0 ? 0 : 1);
