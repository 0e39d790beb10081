import type { BatchSheet } from '../batch';
import { isAskedFor } from '../batch/askedFor';
import type { Ingredient, IngredientBook } from '../ingredients';
import type { BlockKind } from './blockKind';

/** Butter from the fridge is soft enough to be worked in after about so long in a room of 20 °C, in slices sooner. Usual; no model stands behind it. */
const SOFTENS_MS = 3_600_000;
/** Butter may stand out overnight, not longer. */
const MOST_OUT_MS = 12 * SOFTENS_MS;
/** A spoonful is soft in no time, g. */
const LEAST_G = 15;
/** What is spread on, dips or fries comes when the bread is made: it is melted, or is at hand. */
const IN_DOUGH: ReadonlySet<BatchSheet['stages'][number]['kind']> = new Set([
  'starter',
  'preDough',
  'soaker',
  'bloom',
  'main',
  'late',
  'filling',
]);

/** Solid out of the fridge, where it is kept for the water in it: butter, margarine. Lard, ghee and coconut fat stand in the cupboard. */
export const isHardWhenCold = ({ roles, per100g: { fat, water } }: Ingredient): boolean =>
  roles[0] === 'fat' && fat.value > 50 && water.value > 5;

/** Of a block, what it matters: where it lies, and which steps are in it. */
interface Block {
  readonly state: 'todo' | 'running' | 'done';
  readonly startMs: number;
  readonly steps: readonly { readonly id: string; readonly kind: BlockKind }[];
}

/** What is taken out of the fridge so that it is soft when it goes in. */
export interface Softens {
  readonly atMs: number;
  readonly lines: readonly { readonly name: string; readonly massG: number }[];
}

/**
 * When the butter of a batch comes out of the fridge: about an hour before the first of it goes in, or when somebody is last there before that; at once
 * where it is that late already.
 *
 * @param blocks of the batch, where they lie
 * @param hands when somebody is there
 * @param wasMs when it was to come out: what has been called is not called again, unless the bread was put off for so long that it went back into the fridge
 * @returns null: nothing has to soften, or it has gone in
 */
export function softensOf(sheet: Pick<BatchSheet, 'stages'>, blocks: readonly Block[], book: IngredientBook, hands: readonly { readonly fromMs: number; readonly toMs: number; readonly people: number }[], nowMs: number, wasMs?: number): Softens | null {
  const lines = sheet.stages.flatMap((stage) => (IN_DOUGH.has(stage.kind) ? stage.lines.filter(isAskedFor) : [])).filter(({ ingredientId }) => {
    const known = book.get(ingredientId);
    return known !== undefined && isHardWhenCold(known);
  });
  if (lines.reduce((sum, { massG }) => sum + massG, 0) < LEAST_G) return null;
  const byStep = new Map(blocks.flatMap((block) => block.steps.map(({ id }) => [id, block] as const)));
  const mixed = blocks.find(({ steps }) => steps.some(({ kind }) => kind === 'mix')) ?? blocks[0];
  const goesIn = lines.map(({ atStepId }) => (atStepId === undefined ? mixed : (byStep.get(atStepId) ?? mixed)));
  const first = goesIn.reduce<Block | undefined>((soonest, block) => (block && (!soonest || block.startMs < soonest.startMs) ? block : soonest), undefined);
  if (!first || first.state !== 'todo') return null;
  const wantedMs = first.startMs - SOFTENS_MS;
  const there = hands.filter(({ people, fromMs }) => people > 0 && fromMs <= wantedMs);
  const lastMs = Math.max(-Infinity, ...there.map(({ toMs }) => Math.min(wantedMs, toMs - 5 * 60_000)));
  // nobody was there for so long: it is cut small as the work begins
  const atMs = lastMs >= first.startMs - MOST_OUT_MS ? lastMs : first.startMs;
  const sums = new Map<string, number>();
  for (const { name, massG } of lines) sums.set(name, (sums.get(name) ?? 0) + massG);
  const wasCalled = wasMs !== undefined && wasMs <= nowMs && wasMs >= first.startMs - MOST_OUT_MS;
  return { atMs: wasCalled ? wasMs : Math.max(nowMs, atMs), lines: [...sums].map(([name, massG]) => ({ name, massG })) };
} // prettier-ignore
