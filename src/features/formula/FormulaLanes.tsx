'use client';
import { useMemo } from 'react';
import { planBatch, type BatchRequest } from '@/core/batch';
import { roomOf } from '@/core/kit';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { ProcessLanes } from '../process/ProcessLanes';
import { useSheetState } from '../sheet/SheetContext';

/** The process of what is usually made of this formula, in this kitchen: its breads as lanes, load by load. */
export function FormulaLanes() {
  const formula = useSheetState((state) => state.formula);
  const { kit } = useStoredKit();
  const book = useBook();
  const sheet = useMemo(() => {
    const { pieceMassG, bowlLossPercent } = formula.usualYield;
    const request: BatchRequest = { mode: 'factor', factor: 1, pieceMassG, bowlLossPercent };
    const plan = planBatch(formula, request, kit.scales, book, roomOf(kit, formula));
    return plan.ok ? plan.value : null;
  }, [book, formula, kit]);
  return sheet && <ProcessLanes sheet={sheet} />;
}
