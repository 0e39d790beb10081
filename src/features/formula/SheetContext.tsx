'use client';
import { createContext, useContext } from 'react';
import type { Edit } from './useFormulaSheet';

/** What every row of a sheet may do; stable, so that rows that did not change are not drawn again. */
export interface SheetActions {
  readonly edit: Edit;
  readonly settle: () => void;
}

const Context = createContext<SheetActions | null>(null);
export const SheetActionsProvider = Context.Provider;

export function useSheetActions(): SheetActions {
  const actions = useContext(Context);
  if (!actions) throw new Error('useSheetActions needs a SheetActionsProvider above it');
  return actions;
}

export const newLocalId = (): string => crypto.randomUUID().slice(0, 13);
