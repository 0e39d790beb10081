'use client';
import { useMemo } from 'react';
import { useSheetRun } from '../sheet/SheetContext';
import { ProcessLanes } from '../process/ProcessLanes';
import { useUsualBatch } from './useUsualBatch';

/** The process of what is usually made of this formula, in this kitchen: its breads as lanes, load by load. */
export function FormulaLanes() {
  const sheet = useUsualBatch();
  const oven = useSheetRun()?.forecast?.preheat?.recoverS?.value ?? null;
  // what the door and the load took from stone and air, as the heat of this very bread has it
  const recoversS = useMemo(() => (oven === null ? {} : { oven }), [oven]);
  return sheet && <ProcessLanes sheet={sheet} recoversS={recoversS} />;
}
