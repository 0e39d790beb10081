import { ok, type Result } from '../result';
import { FEED } from './blockKind';
import { boundOf } from './bound';
import { collisionView } from './collisionView';
import type { DayDocument } from './dayDocument';
import { peopleBySlot, type DayPlan, type DayProblem, type Strand } from './dayProblem';
import { formulaKey, kitchenProblem, type KitchenDay, type KitchenProblem, type WaysOf } from './kitchenDay';
import { layAnew } from './layAnew';
import { AS_WRITTEN, leverOf } from './levers';
import { wallField } from './dayEdit';
import { everythingIn } from '../cautions/allergenStatement';
import { keepApart, mixedUp, type HoldsOf } from './keepApart';
import { needsOf, type DayNeeds } from './needs';
import { ovenTrace } from './ovenTrace';
import { litFor, ovenVisits } from './ovenVisits';
import { piecesOut } from './piecesOut';
import { playPlan } from './play';
import { blockKey, keyOf, variantOf, type Score } from './score';
import { searchDay, type Found } from './searchDay';
import { softensOf } from './softens';
import { surerBy } from './surer';
import { RISES } from './blockKind';
import type { BatchView, BlockView, Change, CleanDown, DayView, OvenView, Span } from './dayView';

/** Days on which a plan is played to tell how likely it is. */
const DRAWS = 200;

class View {
  private readonly slotMs: number;
  private readonly fromMs: number;

  constructor(
    private readonly all: KitchenDay,
    private readonly kitchen: KitchenProblem,
  ) {
    this.slotMs = kitchen.day.slotMs;
    this.fromMs = kitchen.day.fromMs;
  }

  ms(slot: number): number {
    return Math.round(this.fromMs + slot * this.slotMs);
  }

  spans(slots: readonly { readonly fromSlot: number; readonly toSlot: number }[]): Span[] {
    return slots.map(({ fromSlot, toSlot }) => ({ fromMs: this.ms(fromSlot), toMs: this.ms(toSlot) }));
  }

  blocks(batchId: string, strands: readonly Strand[], plan: DayPlan): BlockView[] {
    const { day, progress, ways } = this.kitchen;
    const placed = plan.batches[batchId];
    const wanted = this.all.day.batches.find(({ id }) => id === batchId);
    if (!placed) return [];
    const way = ways.get(batchId)?.find(({ id }) => id === placed.variantId);
    const { sheet, feed } = way ?? {};
    const steps = new Map(sheet?.steps.map((step) => [step.id, step]));
    const now = variantOf(day.problem, batchId, placed);
    const lasting = new Map(now?.strands.flatMap(({ activities }) => activities.map((activity) => [activity.id, activity])));
    const ends = new Map<string, number>();
    return strands.flatMap((strand) => {
      let before = strand.afterId === null ? null : (ends.get(strand.afterId) ?? null);
      return strand.activities.flatMap((activity): BlockView[] => {
        const block = day.blocks.get(blockKey(batchId, placed.variantId, activity));
        const done = progress.get(keyOf(batchId, activity));
        const at = placed.at[activity.id];
        const live = lasting.get(activity.id);
        const start = live ? at?.startSlot : done?.startSlot;
        if (!block || start === undefined) return [];
        const end = live ? start + live.lastsSlots : (done?.endSlot ?? start + activity.lastsSlots);
        const latest = live && !done && before !== null && activity.mostSlots !== null ? before + activity.mostSlots : null;
        before = end;
        ends.set(strand.id, end);
        const stretch = ((end - start) * this.slotMs) / Math.max(1, block.lastsS.typical);
        const startMs = this.ms(start);
        return [
          {
            id: activity.id, strandId: strand.id, kind: block.kind, startMs, endMs: this.ms(end), load: block.load, wayId: block.wayId,
            ...(block.kind === FEED && feed?.kind === 'feed' && { feed: { starterId: feed.starterId, name: feed.name, seedG: feed.seedG, flourG: feed.flourG, waterG: feed.waterG } }),
            ovenId: at?.ovenId ?? wanted?.at[activity.id]?.ovenId ?? null, setC: block.heat?.setC ?? null,
            hands: this.spans((live && !done ? activity.hands : []).map(({ fromSlot, toSlot }) => ({ fromSlot: start + fromSlot, toSlot: start + toSlot }))),
            state: done ? (done.endSlot === null ? 'running' : 'done') : 'todo',
            pinned: wanted?.pins[activity.id] !== undefined,
            latestMs: latest === null ? null : this.ms(latest),
            looksMs: RISES.has(block.kind) && done?.endSlot == null ? looks(startMs, block.lastsS, stretch / 1000) : [],
            steps: block.calls.map(({ activityId, offsetS, lastsS }) => {
              const step = steps.get(activityId);
              return {
                id: activityId, kind: step?.kind ?? block.kind, title: step?.title ?? '', tempC: step?.tempC ?? null,
                startMs: Math.round(startMs + offsetS * stretch), endMs: Math.round(startMs + (offsetS + lastsS) * stretch),
              };
            }),
          },
        ];
      });
    });
  } // prettier-ignore

  batches(found: Found, final: boolean): BatchView[] {
    const { day, ways, whole, begunIds } = this.kitchen;
    const { problem } = day;
    const played = final ? playPlan(day, found.plan, { seed: 1, draws: DRAWS }) : [];
    return problem.batches.map(({ id }): BatchView => {
      const placed = found.plan.batches[id];
      const variantId = placed?.variantId ?? ways.get(id)?.[0]?.id ?? '';
      const strands = whole.batches.find((batch) => batch.id === id)?.variants.find((variant) => variant.id === variantId)?.strands ?? [];
      const blocks = this.blocks(id, strands, found.plan);
      const { feed: fromJar, sheet } = ways.get(id)?.find((way) => way.id === variantId) ?? {};
      const outcome = played.find(({ batchId }) => batchId === id);
      const wanted = this.all.day.batches.find((batch) => batch.id === id);
      const hasPromise = wanted?.ready != null;
      const collision = final && (hasPromise || !placed) ? collisionView(this.all, this.kitchen, id, found.plan) : null;
      return {
        id, variantId, blocks, lever: leverOf(variantId) ?? AS_WRITTEN,
        readyMs: placed ? Math.max(0, ...blocks.map(({ endMs }) => endMs)) : null,
        likely: outcome ? { fromMs: this.ms(outcome.ready.low), toMs: this.ms(outcome.ready.high), chance: outcome.chance } : null,
        collision,
        surer: outcome && hasPromise && !collision && !begunIds.has(id) ? surerBy(day, found.plan, outcome, { seed: 1, draws: DRAWS }) : null,
        short: this.kitchen.short.get(id) ?? null,
        softens: final && sheet ? softensOf(sheet, blocks, this.all.book, this.hands(), this.all.nowMs, wanted?.softens?.atMs) : null,
        fromJar: fromJar?.kind === 'jar' ? { starterId: fromJar.starterId, name: fromJar.name, massG: fromJar.massG } : null,
      };
    });
  } // prettier-ignore

  ovens(plan: DayPlan): OvenView[] {
    const { day } = this.kitchen;
    const { problem } = day;
    const people = peopleBySlot(problem);
    return problem.ovens.map((oven) => {
      const visits = ovenVisits(problem, plan, oven.id);
      const lit = litFor(oven, visits, people, problem.litSlot?.[oven.id]);
      return {
        id: oven.id,
        lit: lit.map(({ litSlot, heat: { setC, plate } }) => ({ atMs: this.ms(litSlot), setC, plate })),
        points: ovenTrace(oven, visits, lit, this.all.kit.roomC, problem.slots).map(({ slot, tempC }) => ({ ms: this.ms(slot), tempC: Math.round(tempC) })),
      };
    });
  } // prettier-ignore

  changes(plan: DayPlan): Change[] {
    const { day, saved } = this.kitchen;
    return Object.entries(plan.batches)
      .flatMap(([batchId, { variantId, at }]) =>
        Object.entries(at).flatMap(([blockId, { startSlot }]): Change[] => {
          const was = saved.batches[batchId]?.at[blockId]?.startSlot;
          const kind = day.blocks.get(blockKey(batchId, variantId, { id: blockId }))?.kind;
          if (was === undefined || was === startSlot || !kind) return [];
          return [{ batchId, blockId, kind, byMs: (startSlot - was) * this.slotMs }];
        }),
      )
      .sort((a, b) => (plan.batches[a.batchId]?.at[a.blockId]?.startSlot ?? 0) - (plan.batches[b.batchId]?.at[b.blockId]?.startSlot ?? 0));
  } // prettier-ignore

  private needs(plan: DayPlan): DayNeeds {
    const { begunIds, ways } = this.kitchen;
    const batches = Object.entries(plan.batches).flatMap(([id, { variantId, at }]) => {
      const sheet = ways.get(id)?.find((way) => way.id === variantId)?.sheet;
      if (!sheet || begunIds.has(id)) return [];
      const wanted = this.all.day.batches.find((batch) => batch.id === id);
      const out = wanted?.takenOut && { pieces: piecesOut(wanted), as: wanted.takenOut.as, bestByMs: wanted.takenOut.bestByMs };
      return [{ id, sheet, ...(out && { out }), firstMs: this.ms(Math.min(...Object.values(at).map(({ startSlot }) => startSlot))) }];
    });
    return needsOf(batches, this.all.lots, (ms) => wallField(this.all.zone, ms).slice(0, 10));
  } // prettier-ignore

  /** What each batch holds of what is kept apart. */
  holds(): HoldsOf {
    const apart = this.all.life.shared?.apart ?? [];
    if (apart.length === 0) return new Map();
    return new Map(
      this.all.day.batches.flatMap((batch) => {
        const formula = this.all.formulas.get(formulaKey(batch));
        if (!formula) return [];
        const inIt = new Set(everythingIn(formula, this.all.book).flatMap(({ allergens }) => allergens));
        return [
          [
            batch.id,
            { holds: apart.filter((each) => inIt.has(each)), begun: this.kitchen.begunIds.has(batch.id) },
          ] as const,
        ];
      }),
    );
  }

  private cleans({ plan }: Found): CleanDown[] {
    const { day, cleans } = this.kitchen;
    const cleanMs = 60_000 * (this.all.life.shared?.cleanMin ?? 0);
    const works = Object.entries(plan.batches).flatMap(([id, placed]) => {
      const strands = variantOf(day.problem, id, placed)?.strands ?? [];
      return strands.flatMap(({ activities }) => activities.flatMap(({ id: blockId, hands }) => (hands.length > 0 ? [this.ms(placed.at[blockId]!.startSlot)] : [])));
    });
    const wheat = cleans.flatMap(({ fromMs, toMs }, at): CleanDown[] => {
      const until = cleans[at + 1]?.fromMs ?? Infinity;
      const isWanted = toMs > this.all.nowMs && works.some((ms) => ms >= toMs && ms < until);
      return isWanted ? [{ atMs: fromMs, untilMs: toMs, allergens: [], beforeId: null }] : [];
    });
    const mixed = mixedUp(day.problem, plan, this.holds()).map(({ withoutId, allergens, slot }): CleanDown => ({
      atMs: this.ms(slot) - cleanMs, untilMs: this.ms(slot), allergens: [...allergens], beforeId: withoutId,
    }));
    return [...wheat, ...mixed].sort((a, b) => a.atMs - b.atMs).slice(0, 60);
  } // prettier-ignore

  private hands(): DayView['hands'] {
    return this.kitchen.day.problem.hands.map(({ fromSlot, toSlot, people, unwanted = false }) => ({
      fromMs: this.ms(fromSlot),
      toMs: this.ms(toSlot),
      people,
      unwanted,
    }));
  }

  of(found: Found, final: boolean): DayView {
    const { day, leftOut } = this.kitchen;
    return {
      nowMs: this.all.nowMs, fromMs: this.fromMs, untilMs: this.ms(day.problem.slots), leftOut,
      batches: this.batches(found, final), ovens: this.ovens(found.plan), changes: this.changes(found.plan),
      cleans: final ? this.cleans(found) : [],
      hands: this.hands(),
      score: found.score, rounds: found.rounds, bound: null, final, needs: final ? this.needs(found.plan) : null,
    };
  } // prettier-ignore
}

/** Rounds of prices, and places looked at where a day is so small that all of it can be looked through: about half a second at the most. */
function boundEffort({ batches }: DayProblem): [rounds: number, tries: number] {
  const rounds = Math.max(3, Math.min(40, Math.round(100 / Math.max(1, batches.length))));
  const activities = batches.reduce((sum, { variants: [first] }) => sum + (first?.strands.flatMap(({ activities: each }) => each).length ?? 0), 0);
  return [rounds, batches.length > 4 ? 0 : activities <= 16 ? 400_000 : 60_000];
} // prettier-ignore

/** To look at a rise: at its shortest, and when it usually is there. */
function looks(startMs: number, { min, typical }: { min: number; typical: number }, times: number): number[] {
  const first = Math.min(min, 0.85 * typical);
  return [first, typical].map((s) => Math.round((startMs + 1000 * s * times) / 300_000) * 300_000);
}

/** So long is looked for an order in which what is kept apart is kept apart, rounds. */
const APART_ROUNDS = 30;

interface LayOut {
  readonly seed: number;
  readonly rounds: number;
  /** Asked after each round: whether it has been looked for long enough. Whoever has a clock says so. */
  readonly enough?: () => boolean;
}

/**
 * Lays a kitchen's day out: a plan at once, then better ones while one looks (null: nothing better yet); the last with how likely it is, what collides and
 * what would help. A day that is laid out already is laid anew with as few changes as can be.
 *
 * @returns null where there is nothing to plan; else what `kitchenProblem` refuses
 */
export function* layOutDay(
  all: KitchenDay,
  waysOf: WaysOf,
  { seed, rounds, enough = () => false }: LayOut,
): Generator<DayView | null, Result<DayView | null>, void> {
  const made = kitchenProblem(all, waysOf);
  if (!made.ok) return made;
  if (!made.value) return ok(null);
  const kitchen = made.value;
  const view = new View(all, kitchen);
  const { problem } = kitchen.day;
  const search = kitchen.isLaidOut ? layAnew(problem, kitchen.saved, seed, rounds) : searchDay(problem, seed, rounds, kitchen.saved);
  let step = search.next();
  let shown: Score | null = null;
  while (!step.done && !enough()) {
    const { score } = step.value;
    yield shown === score ? null : view.of(step.value, false);
    shown = score;
    step = search.next();
  }
  const best = keepApart(problem, step.value, view.holds(), seed, Math.min(rounds, APART_ROUNDS));
  const last = view.of(best, true);
  // it can be saved while it is asked how much better another could be
  yield last;
  return ok({ ...last, bound: boundOf(problem, best.score, ...boundEffort(problem)) });
} // prettier-ignore

/** The day as it is to be saved once it is laid out so. */
export function dayWith(day: DayDocument, view: DayView): DayDocument {
  // what is cleaned down is told with the last plan alone
  const cleans = view.final ? view.cleans : (day.cleans ?? []);
  return {
    ...(cleans.length > 0 && { cleans: [...cleans] }),
    ...(day.notHot && { notHot: day.notHot }),
    ...(day.have && { have: day.have }),
    lit: view.ovens.flatMap(({ id, lit }) => lit.map((each) => ({ ovenId: id, ...each }))),
    batches: day.batches.map((batch) => {
      const found = view.batches.find(({ id }) => id === batch.id);
      if (!found || found.blocks.length === 0) return batch;
      const at = Object.fromEntries(
        found.blocks.map(({ id, startMs, endMs, ovenId, kind, steps, setC, hands, looksMs, feed }) => [
          id,
          {
            startMs, endMs, ovenId, kind, setC, title: steps.length === 1 ? (steps[0]?.title ?? '') : '',
            handsOn: hands[0]?.fromMs === startMs, looksMs: [...looksMs], ...(feed && { feed }),
          },
        ]),
      );
      const { softens: was, ...plain } = batch;
      const softens = view.final ? found.softens : was;
      return { ...plain, variantId: found.variantId, at, ...(softens && { softens: { atMs: softens.atMs, lines: [...softens.lines] } }) };
    }),
  };
} // prettier-ignore
