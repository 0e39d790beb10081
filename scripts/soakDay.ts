import { begunDay, type Progress } from '../src/core/day/begunDay';
import { boundOf } from '../src/core/day/bound';
import { checkPlan } from '../src/core/day/checkPlan';
import { layAnew } from '../src/core/day/layAnew';
import { keyOf } from '../src/core/day/score';
import { searchDay } from '../src/core/day/searchDay';
import { exactDay } from '../src/core/day/testExact';
import { randomDay } from '../src/core/day/testDays';

/**
 * `./crumb soak day [DAYS SMALL SEED]`: random days, after every round held against the rules by the checker that shares nothing with the search; then small
 * days held against trying everything. Exit 1 where a rule is broken, or where fewer than 95 of 100 small days are as good as can be.
 */
const [days = 1000, small = 100, seed = 1] = process.argv.slice(2).map(Number);
const ROUNDS = 500;

let broken = 0;
let plans = 0;
for (let at = 0; at < days; at += 1) {
  const many = at % 10 === 9;
  const size = { batches: many ? 12 : 2 + (at % 4), steps: 3 + (at % 8), slots: 200, ovens: 1 + (at % 2), people: 1 + (at % 3 === 0 ? 1 : 0) }; // prettier-ignore
  const problem = randomDay(seed * 100_000 + at, size);
  const search = searchDay(problem, seed, 6);
  for (let step = search.next(); ; step = search.next()) {
    plans += 1;
    const [first] = checkPlan(problem, step.value.plan);
    if (first) {
      broken += 1;
      console.log(`day ${at}: ${JSON.stringify(first)}`);
    }
    if (step.done) break;
  }
}
console.log(`${days} days, ${plans} plans: ${broken} with a broken rule`);

// days under way: everything that has begun is a fact, some of it late, and the rest is laid anew
let under = 0;
for (let at = 0; at < Math.ceil(days / 5); at += 1) {
  const problem = randomDay(seed * 300_000 + at, {
    batches: 2 + (at % 5),
    steps: 3 + (at % 6),
    slots: 180,
    ovens: 1 + (at % 2),
    people: 1,
  });
  let step = searchDay(problem, seed, 3).next();
  for (const found of searchDay(problem, seed, 3)) step = { done: false, value: found };
  const nowSlot = 20 + ((at * 31) % 100);
  const progress = new Map<string, Progress>();
  for (const { id, variants } of problem.batches) {
    const placed = step.value.plan.batches[id];
    for (const activity of variants
      .find((each) => each.id === placed?.variantId)
      ?.strands.flatMap(({ activities }) => activities) ?? []) {
      const startSlot = placed!.at[activity.id]!.startSlot + (activity.id === 'mix' ? at % 4 : 0);
      const endSlot = startSlot + activity.lastsSlots;
      if (startSlot < nowSlot)
        progress.set(keyOf(id, activity), { startSlot, endSlot: endSlot <= nowSlot ? endSlot : null });
    }
  }
  const begun = begunDay(problem, step.value.plan, progress, nowSlot);
  for (const found of layAnew(begun.problem, begun.plan, seed, 3)) {
    under += 1;
    const [first] = checkPlan(begun.problem, found.plan);
    if (first) {
      broken += 1;
      console.log(`day under way ${at}: ${JSON.stringify(first)}`);
    }
  }
}
console.log(`${Math.ceil(days / 5)} days under way, ${under} plans: ${broken} broken rules in all`);

let equal = 0;
let near = 0;
let above = 0;
let worse = 0;
let open = 0;
for (let at = 0; at < small; at += 1) {
  const problem = randomDay(seed * 100_000 + at, { batches: 3, steps: 3, slots: 84, ovens: 1, people: 1 });
  const search = searchDay(problem, seed, ROUNDS);
  let step = search.next();
  while (!step.done) step = search.next();
  const bound = boundOf(problem, step.value.score, 40, 1_000_000);
  const part = (['unplaced', 'late', 'unwanted', 'old', 'taste'] as const).find(
    (each) => bound[each] !== step.value.score[each],
  );
  const gap = part ? step.value.score[part] - bound[part] : 0;
  if (!part || (gap > 0 && gap <= 0.1 * step.value.score[part])) near += 1;
  if (gap < 0) above += 1;
  const { best, whole } = exactDay(problem, step.value.score, 3_000_000);
  if (best) {
    worse += 1;
    console.log(`small day ${at}: found ${JSON.stringify(step.value.score)}, best ${JSON.stringify(best)}`);
  } else if (whole) equal += 1;
  else open += 1;
}
console.log(
  `${small} small days: ${equal} as good as trying everything, ${worse} worse, ${open} broken off after three million places`,
);
console.log(`the bound is within 10 % in ${near} of them, above what was found in ${above}`);
if (above > 0 || broken > 0 || worse > 0.05 * small) process.exit(1);
