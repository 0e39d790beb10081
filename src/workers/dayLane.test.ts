import { clockMs, DEMO, dayBatch, demoFormula } from '../../tests/kitchenDays';
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import { NO_STARTERS } from '@/core/starter/starterDocument';
import { startDayLane } from './dayLane';
import type { DayQuestion, FromDayWorker } from './dayProtocol';

const question = (id: number, ready: string, more: Partial<DayQuestion> = {}): DayQuestion => ({
  id, day: { batches: [dayBatch('rolls', 'supper-rolls', ready)], lit: [] }, life: ORDINARY_LIFE, zone: 'Europe/Lisbon', kit: DEMO.kit, stored: [],
  formulas: [{ formulaId: 'supper-rolls', revision: 1, formula: demoFormula('supper-rolls') }], bakes: {}, starters: NO_STARTERS, nowMs: clockMs('10:00'), forMs: 50, ...more,
}); // prettier-ignore

/** A worker whose clock goes on by ten milliseconds a look, until somebody has told that it is done. */
async function told(ask: (hear: ReturnType<typeof startDayLane>) => void, until: (heard: readonly FromDayWorker[]) => boolean) {
  const heard: FromDayWorker[] = [];
  let ms = 0;
  const pause = () => new Promise<void>((resolve) => setImmediate(resolve));
  ask(startDayLane((message) => heard.push(message), pause, () => (ms += 10)));
  while (!until(heard)) await pause();
  return heard;
} // prettier-ignore

test('a plan at once, the last one with all that is known of it', async () => {
  const heard = await told(
    (hear) => hear(question(1, '19:00')),
    (all) => all.some(({ kind }) => kind === 'done'),
  );
  expect(heard[0]).toMatchObject({ id: 1, kind: 'better', view: { final: false } });
  const last = heard.at(-1)!;
  expect(last).toMatchObject({ id: 1, kind: 'done', view: { final: true } });
  expect(last.kind === 'done' && last.view?.batches[0]).toMatchObject({
    id: 'rolls',
    readyMs: clockMs('19:00'),
  });
});

test('a newer question takes the place of the older, and nothing more is heard of that', async () => {
  const heard = await told(
    (hear) => {
      hear(question(1, '19:00', { forMs: 1_000_000 }));
      hear(question(2, '20:00'));
    },
    (all) => all.some(({ kind }) => kind === 'done'),
  );
  expect(new Set(heard.map(({ id }) => id))).toEqual(new Set([2]));
});

test('nothing to plan, what is refused, and what breaks are answers too', async () => {
  const nothing = await told((hear) => hear({ ...question(1, '19:00'), day: { batches: [], lit: [] } }), (all) => all.length > 0);
  expect(nothing).toEqual([{ id: 1, kind: 'done', view: null }]);
  const refused = await told((hear) => hear(question(2, '19:00', { zone: 'Nowhere' })), (all) => all.length > 0);
  expect(refused).toMatchObject([{ id: 2, kind: 'refused', problem: { code: 'notAllowed' } }]);
  const broke = await told((hear) => hear(question(3, '19:00', { kit: null as never })), (all) => all.length > 0);
  expect(broke).toMatchObject([{ id: 3, kind: 'broke' }]);
}); // prettier-ignore
