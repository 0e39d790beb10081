'use client';
import { useMemo } from 'react';
import { planBatch, type BatchRequest, type BatchSheet } from '@/core/batch';
import { roomOf } from '@/core/kit';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { useSheetState } from '../sheet/SheetContext';

/** What is usually made of this formula, in this kitchen; null where nothing can be planned. */
export function useUsualBatch(): BatchSheet | null {
  const formula = useSheetState((state) => state.formula);
  const { kit } = useStoredKit();
  const book = useBook();
  return useMemo(() => {
    const { pieceMassG, bowlLossPercent } = formula.usualYield;
    const request: BatchRequest = { mode: 'factor', factor: 1, pieceMassG, bowlLossPercent };
    const plan = planBatch(formula, request, kit.scales, book, roomOf(kit, formula));
    return plan.ok ? plan.value : null;
  }, [book, formula, kit]);
}
