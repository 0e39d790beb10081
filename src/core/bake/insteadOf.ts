import { REPLACEMENTS, type StandIn } from '../adjust/replacements';
import { tidy } from '../adjust/solveWater';
import { isAskedFor } from '../batch/askedFor';
import type { BatchSheet } from '../batch/batchSheet';
import { liquidForG } from '../consistency/consistency';
import { isDoughStage } from '../formula/formula';
import { isFlourBase } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { BakeAction } from './bakeEvent';
import { inAlreadyG, targetG, type BakeState } from './bakeState';
import { doughFigures, withoutModel, type DoughFigures } from './doughFigures';

/** What goes in for an ingredient there is none, or not enough, of. */
export interface Instead {
  /** What goes in for it, water that keeps the feel included. */
  readonly adds: readonly { readonly ingredientId: string; readonly massG: number }[];
  /** What dough it makes. */
  readonly dough: DoughFigures;
}

/** Less water than this is not measured, g. */
const LEAST_WATER_G = 3;
/** So many of the dough's own flours are offered for another. */
const MOST_OWN = 2;

/** What is known to do its work; of a flour also the flours that are in the dough already, the most first. */
function standInsFor(sheet: BatchSheet, lineId: string, ingredientId: string, book: IngredientBook): readonly (readonly StandIn[])[] {
  const known = (REPLACEMENTS[ingredientId] ?? []).filter((choice) => choice.every((each) => book.has(each.ingredientId)));
  const ingredient = book.get(ingredientId);
  if (!ingredient || !isFlourBase(ingredient)) return known;
  const own = sheet.stages
    .filter(isDoughStage)
    .flatMap(({ lines }) => lines.filter((line) => isAskedFor(line) && line.id !== lineId && line.ingredientId !== ingredientId))
    .filter((line) => {
      const flour = book.get(line.ingredientId);
      // a starch does a starch's work
      return flour !== undefined && isFlourBase(flour) && flour.roles[0] === ingredient.roles[0];
    })
    .sort((a, b) => b.massG - a.massG);
  return [...known, ...own.slice(0, MOST_OWN).map((line): readonly StandIn[] => [{ ingredientId: line.ingredientId, gPerG: 1 }])];
} // prettier-ignore

/**
 * Out of it in the middle of weighing: what can go in for the rest of a line, with the water that makes the dough feel as it was meant to. Each is computed with
 * the models of the sheet.
 *
 * @returns the likeliest first; empty where nothing is known to do its work
 */
export function insteadOf(sheet: BatchSheet, state: BakeState, lineId: string, book: IngredientBook): Instead[] {
  const line = sheet.stages.flatMap(({ lines }) => lines).find(({ id }) => id === lineId);
  if (!line) return [];
  const missingG = targetG(line, state) - inAlreadyG(lineId, state);
  if (missingG <= 0) return [];
  const meant = doughFigures(sheet, state, book).consistency?.rested.s ?? null;
  const without = bringsNoMore(state, lineId);
  const withAdds = (adds: Instead['adds']) =>
    doughFigures(sheet, { ...without, additions: [...without.additions, ...adds.map((each) => ({ ...each, note: '', atMs: 0 }))] }, book);
  return standInsFor(sheet, lineId, line.ingredientId, book).map((choice): Instead => {
    const adds = choice.map(({ ingredientId, gPerG }) => ({ ingredientId, massG: tidy(gPerG * missingG) })).filter(({ massG }) => massG > 0);
    const dough = withAdds(adds);
    const waterG = meant !== null && dough.consistency ? liquidForG(dough.consistency, meant) : 0;
    // what is too wet by it is told by its dough: water that is in comes out no more
    const all = waterG >= LEAST_WATER_G ? [...adds, { ingredientId: 'water', massG: Math.round(waterG) }] : adds;
    return { adds: all, dough: withoutModel(all === adds ? dough : withAdds(all)) };
  });
} // prettier-ignore

/** A line of which nothing more comes: what is in of it counts. */
function bringsNoMore(state: BakeState, lineId: string): BakeState {
  const inG = inAlreadyG(lineId, state);
  return inG > 0
    ? { ...state, weighed: new Map(state.weighed).set(lineId, { massG: inG, atMs: 0, before: [] }) }
    : { ...state, leftOut: new Set([...state.leftOut, lineId]) };
}

/** What is written down when it is taken: of the line as much as is in, or that it stays out; and what went in for it. */
export function takeInstead(state: BakeState, lineId: string, { adds }: Instead, note: string): BakeAction[] {
  const inG = inAlreadyG(lineId, state);
  const rest: BakeAction[] =
    inG > 0
      ? [
          ...(state.weighed.has(lineId) ? [] : [{ type: 'weighed', lineId, massG: inG } as const]),
          { type: 'mended', lineId, by: 'carryOn', targets: [{ lineId, massG: inG }] },
        ]
      : [{ type: 'leftOut', lineId }];
  return [...rest, ...adds.map((each): BakeAction => ({ type: 'added', ...each, note }))];
}
