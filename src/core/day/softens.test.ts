import { agendaOf, nextCall } from './agenda';
import { dayWith } from './laidOut';
import { ORDINARY_LIFE } from './lifeDocument';
import { isHardWhenCold, softensOf } from './softens';
import { libraryBook } from '../ingredients';
import { clockMs, clockOf, dayBatch, laidOut } from '../../../tests/kitchenDays';

const there = (from: string, to: string, people = 1) => ({
  fromMs: clockMs(from),
  toMs: clockMs(to),
  people,
});
const block = (id: string, start: string, kind: 'mix' | 'bulk', state: 'todo' | 'running' = 'todo') => ({
  state,
  startMs: clockMs(start),
  steps: [{ id, kind }],
});
const line = (id: string, ingredientId: string, massG: number, atStepId?: string) => ({
  id,
  ingredientId,
  name: ingredientId,
  massG,
  ...(atStepId && { atStepId }),
});
const sheet = (...lines: ReturnType<typeof line>[]) => ({
  stages: [{ id: 'dough', kind: 'main' as const, name: 'Dough', lines: lines as never }],
});
const at = (
  ...[made, blocks, hands, now, was]: [
    ReturnType<typeof sheet>,
    ReturnType<typeof block>[],
    ReturnType<typeof there>[],
    string,
    string?,
  ]
) => {
  const found = softensOf(
    made,
    blocks,
    libraryBook,
    hands,
    clockMs(now),
    was === undefined ? undefined : clockMs(was),
  );
  return found && clockOf(found.atMs);
};
const blocks = [block('bloom', '09:30', 'bulk'), block('m1', '10:00', 'mix'), block('m2', '11:15', 'mix')];
const butter = sheet(line('a', 'butter', 50), line('b', 'rice-flour-white', 300));

test('butter comes out an hour before it goes in; before somebody leaves; what has been called is not called again', () => {
  const allDay = [there('06:00', '22:00')];
  expect(at(butter, blocks, allDay, '07:00')).toBe('09:00');
  // by the step that takes it
  expect(at(sheet(line('a', 'butter', 50, 'm2')), blocks, allDay, '07:00')).toBe('10:15');
  expect(at(butter, blocks, [there('06:00', '08:00'), there('09:45', '22:00')], '07:00')).toBe('07:55');
  expect(at(butter, blocks, [there('06:00', '22:00', 0)], '07:00')).toBe('10:00');
  expect(at(butter, blocks, allDay, '09:20')).toBe('09:20');
  expect(at(butter, blocks, allDay, '09:25', '09:20')).toBe('09:20');
  // put off until the evening after it had been called for in the morning: it is called for once more
  expect(at(butter, [block('m1', '21:00', 'mix')], allDay, '08:00', '07:00')).toBe('20:00');
  expect(at(butter, [block('m1', '10:00', 'mix', 'running')], allDay, '10:01')).toBeNull();
  // a spoonful; what is on the bread; what is soft, or stands in the cupboard
  expect(at(sheet(line('a', 'butter', 10)), blocks, allDay, '07:00')).toBeNull();
  expect(at({ stages: [{ ...butter.stages[0]!, kind: 'topping' as never }] }, blocks, allDay, '07:00')).toBeNull();
  const hard = [...libraryBook.values()].filter(isHardWhenCold).map(({ id }) => id);
  expect(hard).toContain('butter');
  expect(hard).not.toEqual(expect.arrayContaining(['ghee', 'olive-oil', 'coconut-oil']));
}); // prettier-ignore

test('on the day: called for the evening before, once, and no more when the bread is begun', () => {
  const knots = dayBatch('knots', 'fried-knots', '09:00');
  const day = { batches: [{ ...knots, ready: { fromMs: clockMs('09:00', '2026-11-29'), toMs: clockMs('09:00', '2026-11-29') } }], lit: [] };
  const night = { ...ORDINARY_LIFE, away: [{ ...ORDINARY_LIFE.away[0]!, from: '22:00', to: '06:30' }] };
  const view = laidOut(day, '12:00', { life: night });
  const saved = dayWith(day, view);
  const first = Math.min(...view.batches[0]!.blocks.map(({ startMs }) => startMs));
  const [call] = agendaOf(saved).filter(({ kind }) => kind === 'soften');
  expect(call).toMatchObject({ batchId: 'knots', lines: [{ name: 'Butter, unsalted', massG: 36 }] });
  expect(first).toBeGreaterThan(call!.atMs);
  expect(clockOf(call!.atMs)).toBe('21:55');
  expect(nextCall(agendaOf(saved), call!.atMs)).toMatchObject({ kind: 'soften' });
  const begun = { ...saved, batches: saved.batches.map((batch) => ({ ...batch, progress: { x: { startMs: first, endMs: null, lastsS: null } } })) };
  expect(agendaOf(begun).some(({ kind }) => kind === 'soften')).toBe(false);
}); // prettier-ignore
