import type { BatchSheet } from '../batch';
import { isAskedFor } from '../batch/askedFor';
import type { PUT_BY } from '../formula/formulaLimits';
import { openLots } from '../ingredients/lots';
import type { LotEntry } from '../ingredients/kitchenEntrySchema';

/** What is made before the dough is: a jar of gel, a soaker, a pre-dough. */
const AHEAD: ReadonlySet<BatchSheet['stages'][number]['kind']> = new Set([
  'starter',
  'soaker',
  'scald',
  'gel',
  'bloom',
  'preDough',
]);

/** So much of one ingredient, for all that a day makes. */
interface Need {
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: number;
  /** When it is first wanted. */
  readonly firstMs: number;
  readonly batchIds: readonly string[];
  /** The bag in use is past its date on that day. */
  readonly pastDate: string | null;
}

/** What is made ahead of a dough, whole. */
interface MadeAhead {
  readonly batchId: string;
  readonly name: string;
  readonly massG: number;
  readonly byMs: number;
}

/** What goes into one batch, part by part. */
interface BatchNeeds {
  readonly batchId: string;
  readonly firstMs: number;
  /** Mixed in so many goes, each with its share. */
  readonly mixes: number;
  readonly parts: readonly {
    readonly name: string;
    readonly lines: readonly { readonly name: string; readonly massG: number }[];
  }[];
}

/** What was put by and is taken out for a batch of the day. */
interface TakeOut {
  readonly batchId: string;
  readonly pieces: number;
  readonly as: (typeof PUT_BY)[number];
  /** By then it is past its best. */
  readonly isPast: boolean;
  readonly bestByMs: number;
  readonly atMs: number;
}

export interface DayNeeds {
  readonly takeOut: readonly TakeOut[];
  readonly batches: readonly BatchNeeds[];
  readonly needs: readonly Need[];
  readonly ahead: readonly MadeAhead[];
}

/** What there is not enough of, by how much: where nobody looked there is enough. */
export const shortOf = ({ needs }: Pick<DayNeeds, 'needs'>, have: readonly { readonly ingredientId: string; readonly massG: number }[]): { readonly ingredientId: string; readonly name: string; readonly massG: number }[] =>
  needs.flatMap(({ ingredientId, name, massG }) => {
    const there = have.find((each) => each.ingredientId === ingredientId);
    return there && there.massG < massG ? [{ ingredientId, name, massG: massG - there.massG }] : [];
  }); // prettier-ignore

interface NeedBatch {
  readonly id: string;
  readonly sheet: Pick<BatchSheet, 'stages' | 'mixes'>;
  /** When it is begun. */
  readonly firstMs: number;
  /** It is taken out of what was put by. */
  readonly out?: Pick<TakeOut, 'pieces' | 'as' | 'bestByMs'>;
}

/**
 * Everything a day needs, summed over its batches, in the order in which it is wanted: what is held back and what is for a later day is not counted.
 *
 * @param dayOf the date of a moment where the kitchen is, as bags write theirs: "2026-11-28"
 */
export function needsOf(batches: readonly NeedBatch[], lots: readonly LotEntry[], dayOf: (ms: number) => string): DayNeeds {
  const open = openLots(lots);
  const found = new Map<string, { name: string; massG: number; firstMs: number; batchIds: string[] }>();
  const ahead: MadeAhead[] = [];
  for (const { id, sheet, firstMs } of [...batches].sort((a, b) => a.firstMs - b.firstMs))
    for (const stage of sheet.stages) {
      const lines = stage.lines.filter(isAskedFor);
      const massG = lines.reduce((sum, line) => sum + line.massG, 0);
      if (AHEAD.has(stage.kind) && massG > 0) ahead.push({ batchId: id, name: stage.name, massG, byMs: firstMs });
      for (const line of lines) {
        const known = found.get(line.ingredientId) ?? { name: line.name, massG: 0, firstMs, batchIds: [] };
        known.massG += line.massG;
        if (!known.batchIds.includes(id)) known.batchIds.push(id);
        found.set(line.ingredientId, known);
      }
    }
  const needs = [...found].map(([ingredientId, each]): Need => {
    const bestBefore = open.get(ingredientId)?.bestBefore ?? null;
    return { ingredientId, ...each, pastDate: bestBefore !== null && bestBefore < dayOf(each.firstMs) ? bestBefore : null };
  });
  const whole = [...batches].sort((a, b) => a.firstMs - b.firstMs).map(({ id, sheet, firstMs }): BatchNeeds => ({
    batchId: id, firstMs, mixes: sheet.mixes?.count ?? 1,
    parts: sheet.stages.map(({ name, lines }) => ({ name, lines: lines.filter(isAskedFor).map((line) => ({ name: line.name, massG: line.massG })) })).filter(({ lines }) => lines.length > 0),
  }));
  const takeOut = batches.flatMap(({ id, firstMs, out }): TakeOut[] => (out ? [{ batchId: id, ...out, atMs: firstMs, isPast: out.bestByMs < firstMs }] : []));
  return { needs, ahead, batches: whole.filter(({ parts }) => parts.length > 0), takeOut: takeOut.sort((a, b) => a.atMs - b.atMs) };
} // prettier-ignore
