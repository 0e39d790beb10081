'use client';
import type { Formula, FormulaEdit } from '@/core/formula';
import { Segmented } from '@/ui/Segmented';
import { useSheetState, useWay } from '../sheet/SheetContext';
import { words } from '@/wording/screens/run/WhichBread';

/** What a piece is baked as: of the formula, or of the bread that is looked at. */
export function bakeWayAs(
  formula: Formula,
  wayId: string | null,
  bakedAs: NonNullable<Formula['bakedAs']>,
): FormulaEdit {
  const way = formula.ways?.find(({ id }) => id === wayId) ?? formula.ways?.[0];
  if (!way) return { type: 'setBakedAs', bakedAs };
  const { steps: _, ...apart } = way;
  return { type: 'setWay', way: { ...apart, bakedAs } };
}

/** Of a dough that parts: which of its breads the day below, the answer card and the slice are of. */
export function WhichBread() {
  const ways = useSheetState((state) => state.formula.ways);
  const [wayId, setWay] = useWay();
  if (!ways) return null;
  return (
    <Segmented
      label={words.whichBread}
      size="table"
      value={ways.some(({ id }) => id === wayId) ? wayId! : ways[0]!.id}
      onChange={setWay}
      options={ways.map(({ id, name }) => ({ value: id, label: name || words.unnamed }))}
      className="mb-3 flex w-full max-w-xl"
    />
  );
}
