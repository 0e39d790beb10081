import { ordinaryScales, planBatch, type BatchRequest } from '../batch';
import { loafSheet } from '../batch/testBatch';
import { consistencyOf } from '../consistency/consistency';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { actualStages } from './actualSheet';
import type { BakeAction } from './bakeEvent';
import { bakeState, inAlreadyG, targetG } from './bakeState';
import { stillToWeigh, weighedCount } from './toWeigh';
import { decide } from './decide';
import { newStep } from '../method/step';
import { NO_ROOM } from '../process/room';
import { toleranceG } from './weighTolerance';
import { wrongAmount, type Mend, type WrongAmount } from './wrongAmount';

// eight pieces of 120 g and a little
const sheet = loafSheet(120);
const after = (...actions: BakeAction[]) =>
  bakeState(0, actions.map((action, index) => ({ seq: index + 1, atMs: 60_000 * (index + 1), action }))); // prettier-ignore
const weigh = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const mended = ({ line }: WrongAmount, { by, targets }: Mend): BakeAction => ({
  type: 'mended',
  lineId: line.id,
  by,
  targets: [...targets],
});
const wrongAfter = (...actions: BakeAction[]): WrongAmount => {
  const found = wrongAmount(sheet, after(...actions), libraryBook);
  if (!found) throw new Error('nothing is wrong');
  return found;
};
const by = ({ mends }: WrongAmount, kind: Mend['by']): Mend => {
  const found = mends.find((each) => each.by === kind);
  if (!found) throw new Error(`no ${kind} among ${mends.map((each) => each.by).join(', ')}`);
  return found;
};
const feels = (...actions: BakeAction[]): number => {
  const { steps, percentBase } = plainLoaf();
  return consistencyOf({ stages: actualStages(sheet, after(...actions)), steps, percentBase }, libraryBook)!
    .rested.s;
};

const FORTY_ROLLS: BatchRequest = { mode: 'pieces', pieces: 40, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 }; // prettier-ignore

test('how much is no matter: by what it does, and no less than the scale hides', () => {
  const of = (id: string, wantedG: number, stepG: number) =>
    toleranceG({ stepG }, wantedG, libraryBook.get(id));
  expect(of('white-rice-flour', 500, 1)).toBe(10);
  expect(of('psyllium-husk', 12, 0.1)).toBeCloseTo(0.6);
  expect(of('salt', 3, 1)).toBe(1);
  expect(wrongAmount(sheet, after(weigh('water', 407.9), weigh('salt', 10.5)), libraryBook)).toBeNull();
});

test('62 g of water over: what dough that is, and each way to mend it, by figures', () => {
  const actions = [weigh('white-rice-flour', 300), weigh('water', 462)];
  const wrong = wrongAfter(...actions);
  expect(wrong).toMatchObject({ line: { id: 'water' }, wantedG: 400, isG: 462 });
  // 462 g and the water of an egg, on 500 g
  expect(wrong.now.hydration! - wrong.planned.hydration!).toBeCloseTo(12.4, 1);
  expect(wrong.now.saltPercent).toBeCloseTo(wrong.planned.saltPercent!, 6);
  expect(wrong.now.band).not.toBe(wrong.planned.band);
  expect(wrong.mends.map((mend) => mend.by)).toEqual(['carryOn', 'balance', 'moreOfAll', 'takeOut']);
  // the dough's largest flour, with its salt at two of a hundred
  const balance = by(wrong, 'balance');
  expect(balance.moves.map(({ lineId }) => lineId)).toEqual(['white-rice-flour', 'salt']);
  const [flour, salt] = balance.moves.map(({ byG }) => byG);
  expect(salt).toBeCloseTo(0.02 * flour!, 0);
  expect(balance.dough.band).toBe(wrong.planned.band);
  // worked in it feels as it was meant to, to what a gram of flour does
  expect(feels(...actions, ...balance.targets.map(({ lineId, massG }) => weigh(lineId, massG)))).toBeCloseTo(feels(), 2);
  // all in the same measure: 990 g of dough in pieces of 120 g are 8, 1143 g are 9
  const more = by(wrong, 'moreOfAll');
  expect([more.pieces, more.pieceG]).toEqual([1, 120]);
  expect(more.moves).toContainEqual({ lineId: 'white-rice-flour', byG: 47 });
  // nothing on top, and the water stays
  expect(more.moves.map(({ lineId }) => lineId)).toEqual(['white-rice-flour', 'tapioca-starch', 'psyllium-husk', 'egg-whole', 'salt']);
  expect(more.dough.hydration).toBeCloseTo(wrong.planned.hydration!, 0);
  expect(by(wrong, 'takeOut').moves).toEqual([{ lineId: 'water', byG: -62 }]);
}); // prettier-ignore

test('a mend that was taken is called for line by line, and then nothing is wrong any more', () => {
  const actions = [weigh('white-rice-flour', 300), weigh('water', 462)];
  const wrong = wrongAfter(...actions);
  const more = by(wrong, 'moreOfAll');
  const taken = [...actions, mended(wrong, more)];
  const state = after(...taken);
  expect(wrongAmount(sheet, state, libraryBook)).toBeNull();
  // the flour is in and comes again; the starch asks for more from the beginning
  const open = stillToWeigh(sheet, state);
  expect(open.now.map(({ id }) => id)).toEqual(['white-rice-flour', 'tapioca-starch', 'psyllium-husk', 'egg-whole', 'salt']);
  const [flour, starch] = open.now;
  expect([targetG(flour!, state), inAlreadyG(flour!.id, state)]).toEqual([347, 300]);
  expect(targetG(starch!, state)).toBe(231);
  expect(weighedCount(sheet, state)).toEqual({ done: 1, of: 7 });
  const inAll = open.now.map((line) => weigh(line.id, targetG(line, state)));
  expect(wrongAmount(sheet, after(...taken, ...inAll), libraryBook)).toBeNull();
  expect(stillToWeigh(sheet, after(...taken, ...inAll)).now).toEqual([]);
  // both values of what was weighed twice are saved
  expect(after(...taken, ...inAll).weighed.get('white-rice-flour')).toMatchObject({ massG: 347, before: [{ massG: 300 }] });
  // carried on with: nothing is asked for, and it is not told again
  const carried = after(...actions, mended(wrong, by(wrong, 'carryOn')));
  expect(wrongAmount(sheet, carried, libraryBook)).toBeNull();
  expect(carried.mends).toEqual([{ lineId: 'water', by: 'carryOn', atMs: 180_000 }]);
}); // prettier-ignore

test('too little: the rest goes in, or all of it less; too much starch is answered with water', () => {
  const short = wrongAfter(weigh('white-rice-flour', 210));
  expect(short.mends.map((mend) => mend.by)).toEqual(['addRest', 'carryOn', 'balance', 'lessOfAll']);
  expect(by(short, 'addRest').moves).toEqual([{ lineId: 'white-rice-flour', byG: 90 }]);
  expect(by(short, 'lessOfAll').pieces).toBe(-3);
  // the starch is in: less of all would be too much of it
  expect(wrongAfter(weigh('tapioca-starch', 200), weigh('white-rice-flour', 210)).mends.map((mend) => mend.by)).not.toContain('lessOfAll');
  const dry = wrongAfter(weigh('tapioca-starch', 260));
  const [water, ...others] = by(dry, 'balance').moves;
  expect(water).toMatchObject({ lineId: 'water', byG: expect.any(Number) as number });
  expect(water!.byG).toBeGreaterThan(10);
  expect(others).toEqual([]);
  // salt has no balance but the batch; on the bread there is nothing to balance at all
  expect(wrongAfter(weigh('salt', 13)).mends.map((mend) => mend.by)).toEqual(['carryOn', 'moreOfAll', 'takeOut']);
  expect(wrongAfter(weigh('poppy-seed', 30)).mends.map((mend) => mend.by)).toEqual(['carryOn', 'takeOut']);
  // once it is mixed nothing comes out again
  expect(wrongAfter(weigh('water', 462), { type: 'stepDone', stepId: 'mix' }).mends.map((mend) => mend.by)).not.toContain('takeOut');
}); // prettier-ignore

test('of a dough in three mixes only the one in the bowl is mended', () => {
  const made = planBatch({ ...plainLoaf(), steps: [newStep('mix', 'mix'), newStep('bulk', 'bulk')] }, FORTY_ROLLS, ordinaryScales, libraryBook, { ...NO_ROOM, mixG: 1500 });
  if (!made.ok) throw new Error(made.problem.code);
  const flours = made.value.stages[0]!.lines.filter(({ ingredientId }) => ingredientId === 'white-rice-flour');
  const second = flours.find(({ of }) => of?.at === 2)!;
  const wrong = wrongAmount(made.value, after(weigh(second.id, second.massG * 1.3)), libraryBook)!;
  const more = by(wrong, 'moreOfAll');
  const nth = (lineId: string) => made.value.stages[0]!.lines.find(({ id }) => id === lineId)?.of?.at;
  expect([...new Set(more.targets.map(({ lineId }) => nth(lineId)))]).toEqual([2]);
  // three tenths of a third of forty: four more
  expect(more.pieces).toBe(4);
  expect(by(wrong, 'balance').moves.map(({ lineId }) => nth(lineId))).toEqual([2]);
}); // prettier-ignore

test('of what was held back some is as right as all of it', () => {
  const held = { ...sheet, stages: sheet.stages.map((stage) => ({ ...stage, lines: stage.lines.map((line) => (line.id === 'water' ? { ...line, heldBack: true as const } : line)) })) };
  expect(wrongAmount(held, after(weigh('water', 150)), libraryBook)).toBeNull();
  expect(wrongAmount(held, after(weigh('water', 450)), libraryBook)?.line.id).toBe('water');
}); // prettier-ignore

test('parts add up; what stays out is out of the dough; both can be taken back', () => {
  const part: BakeAction = { type: 'weighedPart', lineId: 'water', massG: 250 };
  const state = after(part, { ...part, massG: 100 });
  expect(inAlreadyG('water', state)).toBe(350);
  expect(stillToWeigh(sheet, state).now.map(({ id }) => id)).toContain('water');
  expect(after(part, weigh('water', 400)).parts.size).toBe(0);
  expect(after(part, { type: 'unweighed', lineId: 'water' }).parts.size).toBe(0);
  const out = after({ type: 'leftOut', lineId: 'egg-whole' });
  expect(stillToWeigh(sheet, out).now.map(({ id }) => id)).not.toContain('egg-whole');
  expect(weighedCount(sheet, out).of).toBe(6);
  expect(actualStages(sheet, out)[0]!.lines.map(({ id }) => id)).not.toContain('egg-whole');
  const may = (action: BakeAction, ...done: BakeAction[]) => decide(sheet, after(...done), action, libraryBook).ok;
  expect(may({ type: 'unweighed', lineId: 'egg-whole' }, { type: 'leftOut', lineId: 'egg-whole' })).toBe(true);
  expect(may({ type: 'leftOut', lineId: 'egg-whole' }, weigh('egg-whole', 50))).toBe(false);
  expect(may(part, weigh('water', 400))).toBe(false);
  expect(may({ type: 'mended', lineId: 'water', by: 'carryOn', targets: [{ lineId: 'lye', massG: 3 }] })).toBe(false);
}); // prettier-ignore
