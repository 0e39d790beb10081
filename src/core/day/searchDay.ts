import { Board } from './board';
import type { DayBatch, DayPlan, DayProblem, PlacedBatch } from './dayProblem';
import { stayPut } from './stayPut';
import { placeBatch, putStrands, takeStrands, type Wish } from './placeBatch';
import { addScores, compareScores, NOTHING, scoreOf, scoreOfBatch, variantOf, type Score } from './score';
import { seededRandom } from '../numeric/seededRandom';

/** The best plan so far. */
export interface Found {
  readonly plan: DayPlan;
  readonly score: Score;
  /** Rounds of looking until now. */
  readonly rounds: number;
}

class Search {
  private readonly board: Board;
  private readonly placed = new Map<string, PlacedBatch>();
  /** What each of them adds to the score, its ovens apart. */
  private readonly parts = new Map<string, Score>();
  private readonly random: () => number;
  /** How often it was begun with as the worst off, and nothing came of it. */
  private readonly inVain = new Map<string, number>();
  /** Those that find a place where they are alone: for the others nothing can be done by looking. */
  private batches: readonly DayBatch[];

  constructor(
    private readonly problem: DayProblem,
    seed: number,
  ) {
    this.board = new Board(problem);
    this.random = seededRandom(seed);
    this.batches = problem.batches;
  }

  /** Leaves out what finds no place even where it is alone. */
  forgetHopeless({ thorough }: { readonly thorough: boolean }) {
    const { problem } = this;
    this.batches = problem.batches.filter(
      (batch) => this.placed.has(batch.id) || placeBatch(problem, new Board(problem), batch, { thorough }) !== null,
    );
  } // prettier-ignore

  /** Leaves where they are those that may stay where a plan has them; the others are to find a place. */
  stay(earlier: DayPlan): DayBatch[] {
    return this.batches.filter((batch) => {
      const placed = earlier.batches[batch.id];
      const variant = placed && variantOf(this.problem, batch.id, placed);
      if (!placed || !variant || !stayPut(this.problem, this.board, batch, placed)) return true;
      this.placed.set(batch.id, placed);
      this.parts.set(batch.id, scoreOfBatch(this.problem, this.board, batch.id, variant, placed));
      return false;
    });
  }

  plan(): DayPlan {
    return { batches: Object.fromEntries(this.placed) };
  }

  /** What of the order of batches does not matter is drawn. */
  shuffled<T>(all: readonly T[]): T[] {
    const mixed = [...all];
    for (let at = mixed.length - 1; at > 0; at -= 1) {
      const other = Math.floor(this.random() * (at + 1));
      [mixed[at], mixed[other]] = [mixed[other]!, mixed[at]!];
    }
    return mixed;
  }

  add(batches: readonly DayBatch[], wish?: Wish) {
    const drawn = this.random() < 0.5 ? this.random : null;
    for (const batch of batches) {
      const found = placeBatch(this.problem, this.board, batch, { drawn, ...wish });
      if (!found) continue;
      this.placed.set(batch.id, found.placed);
      this.parts.set(batch.id, found.score);
    }
  }

  /** A batch in a place that is not its best, so that the others may have theirs; then its best beside them. */
  yielding([first, ...others]: readonly DayBatch[]) {
    if (!first) return;
    const variant = first.variants[Math.floor(this.random() * first.variants.length)];
    const early = this.random() < 0.7 ? 1 + Math.floor(this.random() ** 2 * MOST_EARLY_SLOTS) : 0;
    this.add([first], { earlySlots: early, ...(variant && { variants: [variant] }) });
    for (const batch of others) {
      const own = batch.variants[Math.floor(this.random() * batch.variants.length)];
      this.add([batch], this.random() < 0.3 && own ? { variants: [own] } : undefined);
    }
    // each once more, beside the others
    for (const batch of this.shuffled([first, ...others])) {
      this.remove([batch.id]);
      this.add([batch]);
    }
  }

  /** In a drawn order through the oven, from the last backwards: each out of it before those that have their places; then each its best beside the others. */
  inOrder(batches: readonly DayBatch[]) {
    let outBySlot = Infinity;
    for (const batch of batches) {
      const own =
        this.random() < 0.5 ? batch.variants[Math.floor(this.random() * batch.variants.length)] : undefined;
      this.add([batch], { outBySlot, ...(own && { variants: [own] }) });
      outBySlot = Math.min(outBySlot, this.firstHeatSlot(batch.id));
    }
    for (const batch of this.shuffled(batches)) {
      this.remove([batch.id]);
      this.add([batch]);
    }
  }

  private firstHeatSlot(id: string): number {
    const placed = this.placed.get(id);
    const strands = (placed && variantOf(this.problem, id, placed)?.strands) ?? [];
    const starts = strands.flatMap(({ activities }) =>
      activities.filter(({ heat }) => heat).map((activity) => placed!.at[activity.id]!.startSlot),
    );
    return Math.min(...starts, Infinity);
  }

  /** Of what is alike the usual: begun late, and what waits waits at the end. */
  settle() {
    for (const { id } of this.batches) {
      const before = this.plan();
      const was = this.score();
      this.remove([id]);
      this.add(this.batches.filter((batch) => batch.id === id), { drawn: null });
      const is = this.score();
      if (was && (!is || compareScores(is, was) > 0)) this.restore(before, [id]);
    }
  } // prettier-ignore

  coin(share: number): boolean {
    return this.random() < share;
  }

  remove(ids: readonly string[]) {
    for (const id of ids) {
      const placed = this.placed.get(id);
      const variant = placed && variantOf(this.problem, id, placed);
      if (placed && variant) takeStrands(this.board, id, variant.strands, placed.at);
      this.placed.delete(id);
    }
  }

  /** Back to a plan, where what was tried is no better. */
  restore(plan: DayPlan, ids: readonly string[]) {
    this.remove(ids);
    for (const id of ids) {
      const placed = plan.batches[id];
      const variant = placed && variantOf(this.problem, id, placed);
      if (!placed || !variant) continue;
      putStrands(this.board, id, variant.strands, placed.at);
      this.placed.set(id, placed);
      this.parts.set(id, scoreOfBatch(this.problem, this.board, id, variant, placed));
    }
  }

  /** Null: an oven could not be lit. */
  score(): Score | null {
    if (!this.board.ovensAreLit()) return null;
    const parts = [...this.placed.keys()].map((id) => this.parts.get(id)!);
    const unplaced = this.problem.batches.length - this.placed.size;
    return { ...parts.reduce(addScores, { ...NOTHING, unplaced }), idle: this.board.idleSlots() };
  }

  /** Some of the batches, the worst off more often: with those that come out when it is due, those that are due then, or any. */
  some(): DayBatch[] {
    const all = this.shuffled(this.batches);
    if (this.random() < 0.6) {
      const worst = all.toSorted((a, b) => this.badness(b) - this.badness(a));
      const one = worst[Math.floor(worst.length * this.random() ** 3)];
      if (one) {
        all.unshift(...all.splice(all.indexOf(one), 1));
        this.inVain.set(one.id, (this.inVain.get(one.id) ?? 0) + 1);
      }
    }
    const [one] = all;
    if (one && this.random() < 0.7) {
      const due = firstPromise(one);
      const when = this.random() < 0.6 ? (batch: DayBatch) => this.readySlot(batch) : firstPromise;
      const apart = new Map(all.map((batch) => [batch.id, batch === one ? -1 : Math.abs(when(batch) - due)]));
      all.sort((a, b) => apart.get(a.id)! - apart.get(b.id)!);
    }
    // one alone has its best place beside the others already, unless it is drawn among those alike
    const few = this.random() < 0.1 ? 1 : Math.min(all.length, 2 + Math.floor(this.random() * 3));
    // in any order: who goes first is what is looked for
    return this.shuffled(all.slice(0, this.random() < 0.15 ? Math.min(8, all.length) : few));
  }

  /** Something better was found: what was in vain before need not be any more. */
  hope() {
    this.inVain.clear();
  }

  private badness({ id }: DayBatch): number {
    if ((this.inVain.get(id) ?? 0) >= MOST_IN_VAIN) return 0;
    const part = this.placed.has(id) && this.parts.get(id);
    return part ? 1e6 * part.late + 1e3 * part.unwanted + part.old : 1e12;
  }

  private readySlot(batch: DayBatch): number {
    const placed = this.placed.get(batch.id);
    return placed
      ? Math.max(...Object.values(placed.at).map(({ startSlot }) => startSlot))
      : firstPromise(batch);
  }
}

const THOROUGH_ROUND = 60;
/** So often, and it is no longer the worst off: nothing can be done for it, as it seems, and the others are worth the time. */
const MOST_IN_VAIN = 8;
const SETTLE_ROUNDS = 6;

/** How much earlier than it must a batch is made to make room, slots. */
const MOST_EARLY_SLOTS = 30;

const firstPromise = ({ variants }: DayBatch): number =>
  Math.min(
    ...(variants[0]?.strands.flatMap(({ promise }) => (promise ? [promise.toSlot] : [])) ?? []),
    Infinity,
  );

/**
 * Looks for a plan: every batch in turn takes the best place it finds beside the others ({@link placeBatch}), then, round by round, a few are taken off and
 * find their places anew in another order; what is no worse is kept. Yields the best so far after each round that found a better one and now and then between,
 * so that whoever asks may stop at any time. The same for the same seed.
 *
 * @param earlier what of it can stay is where it was to begin with
 */
export function* searchDay(problem: DayProblem, seed: number, rounds: number, earlier: DayPlan = { batches: {} }): Generator<Found, Found, void> {
  const search = new Search(problem, seed);
  const left = search.stay(earlier);
  // the one that is due first has first choice
  search.add(left.sort((a, b) => firstPromise(a) - firstPromise(b)), { drawn: null });
  let plan = search.plan();
  let score = search.score();
  if (!score) {
    search.remove(problem.batches.map(({ id }) => id));
    plan = search.plan();
    score = scoreOf(problem, plan);
  }
  let betterAt = 0;
  for (let round = 1; round <= rounds; round += 1) {
    yield { plan, score, rounds: round };
    // at first what is soon seen to be hopeless; later once more and to the last slot, for that takes as long as many rounds
    if (round === 1 || round === THOROUGH_ROUND) search.forgetHopeless({ thorough: round > 1 });
    const some = search.some();
    const ids = some.map(({ id }) => id);
    const before = plan;
    search.remove(ids);
    if (some.length > 1 && search.coin(0.5)) search.inOrder(some);
    else if (search.coin(0.5)) search.yielding(some);
    else search.add(some);
    const found = search.score();
    const is = found ? compareScores(found, score) : 1;
    if (is > 0) search.restore(before, ids);
    else plan = search.plan();
    if (found && is < 0) {
      score = found;
      betterAt = round;
      search.hope();
    }
    // each as it is usual beside all others takes as long as some rounds: when nothing better has come for a while
    if (round - betterAt === SETTLE_ROUNDS) {
      search.settle();
      plan = search.plan();
      score = scoreOf(problem, plan);
    }
  }
  if (rounds > 0) search.settle();
  plan = search.plan();
  return { plan, score: scoreOf(problem, plan), rounds };
} // prettier-ignore
