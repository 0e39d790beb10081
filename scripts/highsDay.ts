/**
 * A day as a mixed-integer programme for HiGHS, to hold the day's own search against: every activity's start is a step that goes from 0 to 1 at its slot. The parts
 * of the score one after the other, each with those before it held; what ovens cost when they are hot for nothing is no part of it, for it is not linear.
 */
import type { DayActivity, DayPlan, DayProblem, Heat, PlacedBatch } from '@/core/day/dayProblem';
import { peopleBySlot } from '@/core/day/dayProblem';
import { changeSlots, coldSlots, mayShare } from '@/core/day/ovenChange';
import loadHighs from 'highs';

/** An activity of one way to make a batch, in one oven where it goes into any. */
interface Piece {
  readonly name: string;
  readonly batchId: string;
  readonly variantId: string;
  readonly activity: DayActivity;
  readonly ovenId: string | null;
  readonly last: number;
}

type Terms = Map<string, number>;
const add = (terms: Terms, name: string, times: number): Terms =>
  terms.set(name, (terms.get(name) ?? 0) + times);
const written = (terms: Terms): string =>
  [...terms].filter(([, times]) => times !== 0).map(([name, times]) => `${times < 0 ? '-' : '+'} ${Math.abs(times)} ${name}`).join(' '); // prettier-ignore

/** The parts of the score that are linear, in their order. */
export const LINEAR_PARTS = ['unplaced', 'late', 'unwanted', 'old', 'taste'] as const;
type Part = (typeof LINEAR_PARTS)[number];

class Model {
  readonly rows: string[] = [];
  readonly columns = new Set<string>();
  readonly costs: Record<Part, Terms> = {
    unplaced: new Map(),
    late: new Map(),
    unwanted: new Map(),
    old: new Map(),
    taste: new Map(),
  };
  readonly pieces: Piece[] = [];

  constructor(private readonly problem: DayProblem) {
    for (const [at, batch] of problem.batches.entries()) this.batch(at, batch);
    this.hands();
    this.resources();
    for (const { id } of problem.ovens) this.oven(id);
  }

  private row(terms: Terms, op: '<=' | '=' | '>=', right: number) {
    const text = written(terms);
    if (text) this.rows.push(`${text} ${op} ${right}`);
  }

  /** Begun at the slot or before it. */
  private begun(piece: Piece, slot: number, terms: Terms, times: number): Terms {
    return slot < 0 ? terms : add(terms, `${piece.name}_${Math.min(slot, piece.last)}`, times);
  }

  private of(batchId: string, variantId: string, { id }: Pick<DayActivity, 'id'>): Piece[] {
    return this.pieces.filter(
      (piece) => piece.batchId === batchId && piece.variantId === variantId && piece.activity.id === id,
    );
  }

  private batch(at: number, { id: batchId, variants }: DayProblem['batches'][number]) {
    const { slots } = this.problem;
    const one: Terms = new Map([[`u${at}`, 1]]);
    this.columns.add(`u${at}`);
    add(this.costs.unplaced, `u${at}`, 1);
    const wanted = peopleBySlot(this.problem, { unwanted: false });
    for (const [way, { id: variantId, tasteCost, strands }] of variants.entries()) {
      const z = `z${at}_${way}`;
      this.columns.add(z);
      add(one, z, 1);
      add(this.costs.taste, z, tasteCost);
      for (const strand of strands)
        for (const [place, activity] of strand.activities.entries()) {
          const last = slots - activity.lastsSlots;
          const all: Terms = new Map([[z, -1]]);
          for (const ovenId of activity.heat?.ovenIds ?? [null]) {
            const piece: Piece = { name: `y${this.pieces.length}`, batchId, variantId, activity, ovenId, last };
            this.pieces.push(piece);
            for (let slot = 0; slot <= last; slot += 1) {
              this.columns.add(`${piece.name}_${slot}`);
              if (slot > 0) this.row(this.begun(piece, slot - 1, this.begun(piece, slot, new Map(), 1), -1), '>=', 0);
              const unwanted = activity.hands.reduce((sum, { fromSlot, toSlot }) => sum + Array.from({ length: toSlot - fromSlot }, (_, more) => (wanted[slot + fromSlot + more]! > 0 ? 0 : 1)).reduce<number>((a, b) => a + b, 0), 0);
              this.cost('unwanted', piece, slot, unwanted);
              if (place === strand.activities.length - 1 && strand.promise) {
                this.cost('late', piece, slot, Math.max(0, slot + activity.lastsSlots - strand.promise.toSlot));
                this.cost('old', piece, slot, Math.max(0, strand.promise.fromSlot - slot - activity.lastsSlots));
              }
            }
            this.begun(piece, last, all, 1);
          }
          this.row(all, '=', 0);
          const parent = place > 0 ? strand.activities[place - 1] : strands.find(({ id }) => id === strand.afterId)?.activities.at(-1);
          if (parent) this.follows(this.of(batchId, variantId, parent), this.of(batchId, variantId, activity), parent, activity);
        }
    }
    this.row(one, '=', 1);
  } // prettier-ignore

  /** A cost of beginning at that very slot. */
  private cost(part: Part, piece: Piece, slot: number, cost: number) {
    if (cost === 0) return;
    this.begun(piece, slot, this.costs[part], cost);
    this.begun(piece, slot - 1, this.costs[part], -cost);
  }

  /** Not before what it follows has ended and the least has gone by, not after the most has. */
  private follows(
    before: readonly Piece[],
    after: readonly Piece[],
    { lastsSlots }: DayActivity,
    { leastSlots, mostSlots }: DayActivity,
  ) {
    const { slots } = this.problem;
    for (let slot = 0; slot < slots; slot += 1) {
      const soon: Terms = new Map();
      for (const piece of after) this.begun(piece, slot, soon, 1);
      for (const piece of before) this.begun(piece, slot - lastsSlots - leastSlots, soon, -1);
      this.row(soon, '<=', 0);
      if (mostSlots === null) continue;
      const late: Terms = new Map();
      for (const piece of before) this.begun(piece, slot - lastsSlots - mostSlots, late, 1);
      for (const piece of after) this.begun(piece, slot, late, -1);
      this.row(late, '<=', 0);
    }
  }

  private hands() {
    const people = peopleBySlot(this.problem);
    for (let slot = 0; slot < this.problem.slots; slot += 1) {
      const busy: Terms = new Map();
      for (const piece of this.pieces)
        for (const { fromSlot, toSlot } of piece.activity.hands) this.begun(piece, slot - toSlot, this.begun(piece, slot - fromSlot, busy, 1), -1);
      this.row(busy, '<=', people[slot]!);
    }
  } // prettier-ignore

  private resources() {
    for (const { id, capacity } of this.problem.resources)
      for (let slot = 0; slot < this.problem.slots; slot += 1) {
        const used: Terms = new Map();
        for (const piece of this.pieces)
          for (const { resourceId, amount } of piece.activity.uses)
            if (resourceId === id) this.begun(piece, slot - piece.activity.lastsSlots, this.begun(piece, slot, used, amount), -amount);
        this.row(used, '<=', capacity);
      }
  } // prettier-ignore

  private oven(ovenId: string) {
    const oven = this.problem.ovens.find(({ id }) => id === ovenId)!;
    const loads = this.pieces.filter((piece) => piece.ovenId === ovenId);
    const people = peopleBySlot(this.problem);
    const heatOf = ({ activity }: Piece): Heat => activity.heat!;
    for (let slot = 0; slot < this.problem.slots; slot += 1) {
      const share: Terms = new Map();
      for (const piece of loads) this.begun(piece, slot - piece.activity.lastsSlots, this.begun(piece, slot, share, heatOf(piece).share), -heatOf(piece).share);
      this.row(share, '<=', 1);
    }
    for (const piece of loads) {
      const cold = coldSlots(oven, heatOf(piece));
      for (let slot = 0; slot <= piece.last; slot += 1) {
        const lit = slot - cold;
        if (lit >= 0 && people[lit]! > 0) continue;
        // hot only if another load is in it or was
        const first: Terms = this.begun(piece, slot - 1, this.begun(piece, slot, new Map(), 1), -1);
        for (const other of loads) if (other !== piece) this.begun(other, slot, first, -1);
        this.row(first, '<=', 0);
      }
      for (const other of loads) {
        const isSame = other === piece || (other.batchId === piece.batchId && (other.variantId !== piece.variantId || other.activity.id === piece.activity.id));
        if (isSame) continue;
        const gap = changeSlots(oven, heatOf(piece), heatOf(other));
        const beside = mayShare(heatOf(piece), heatOf(other));
        for (let slot = 0; slot <= piece.last; slot += 1) {
          const end = slot + piece.activity.lastsSlots;
          // begun at the slot: the other begins neither while it is in there, unless they may be together, nor before the oven is ready for it
          const apart: Terms = this.begun(piece, slot - 1, this.begun(piece, slot, new Map(), 1), -1);
          this.begun(other, (beside ? end : slot) - 1, this.begun(other, end + gap - 1, apart, 1), -1);
          this.row(apart, '<=', 1);
        }
      }
    }
  } // prettier-ignore

  text(goal: Terms, held: readonly string[]): string {
    return `Minimize\n obj: ${written(goal) || '0 u0'}\nSubject To\n${[...this.rows, ...held].map((row, at) => ` r${at}: ${row}`).join('\n')}\nBinary\n ${[...this.columns].join('\n ')}\nEnd\n`;
  }
}

export interface HighsPlan {
  readonly plan: DayPlan;
  /** Each part of the score was solved to its end. */
  readonly isOptimal: boolean;
  readonly ms: number;
  readonly columns: number;
}

/** The plan HiGHS finds, part by part of the score, within so many seconds in all; null: none. */
export async function highsDay(problem: DayProblem, limitS: number): Promise<HighsPlan | null> {
  const model = new Model(problem);
  const highs = await loadHighs();
  const began = performance.now();
  const held: string[] = [];
  let values: Record<string, { Primal: number }> | null = null;
  let isOptimal = true;
  for (const part of LINEAR_PARTS) {
    const leftS = limitS - (performance.now() - began) / 1000;
    if (leftS <= 0.1) {
      isOptimal = false;
      break;
    }
    const found = highs.solve(model.text(model.costs[part], held), { output_flag: false, time_limit: leftS, mip_abs_gap: 0.9, mip_rel_gap: 0 });
    const columns = found.Columns as Record<string, { Primal: number }>;
    const has = Number.isFinite(found.ObjectiveValue) && columns.u0?.Primal !== undefined;
    isOptimal &&= found.Status === 'Optimal';
    if (!has) break;
    values = columns;
    const goal = written(model.costs[part]);
    if (goal) held.push(`${goal} <= ${Math.round(found.ObjectiveValue)}`);
    if (!isOptimal) break;
  }
  const ms = performance.now() - began;
  if (!values) return null;
  const found = values;
  const batches: Record<string, PlacedBatch> = {};
  for (const piece of model.pieces) {
    if ((found[`${piece.name}_${piece.last}`]?.Primal ?? 0) < 0.5) continue;
    let startSlot = 0;
    while (found[`${piece.name}_${startSlot}`]!.Primal < 0.5) startSlot += 1;
    const { variantId } = piece;
    batches[piece.batchId] = { variantId, at: { ...batches[piece.batchId]?.at, [piece.activity.id]: { startSlot, ovenId: piece.ovenId } } };
  }
  return { plan: { batches }, isOptimal, ms, columns: model.columns.size };
} // prettier-ignore
