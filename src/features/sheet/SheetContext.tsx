'use client';
import { createContext, useContext, useSyncExternalStore } from 'react';
import { newUuid } from '@/ui/newUuid';
import type { SheetState, SheetStore } from './sheetStore';
import type { Edit } from './edit';
import type { RunStore, SheetRun } from './runStore';

/** What every row of a sheet may do, and where it looks; stable for as long as the sheet is open. */
export interface SheetActions {
  readonly store: SheetStore;
  readonly edit: Edit;
  readonly settle: () => void;
  /** Takes back what was typed into this cell since it was entered. */
  readonly takeBack: (key: string) => void;
  readonly runs: RunStore;
  readonly formulaId: string;
}

const Context = createContext<SheetActions | null>(null);
export const SheetActionsProvider = Context.Provider;

export function useSheetActions(): SheetActions {
  const actions = useContext(Context);
  if (!actions) throw new Error('useSheetActions needs a SheetActionsProvider above it');
  return actions;
}

/** One part of the sheet's state; draws again only when that part is another. `select` must not make new objects. */
export function useSheetState<T>(select: (state: SheetState) => T): T {
  const { store } = useSheetActions();
  const read = () => select(store.state);
  return useSyncExternalStore(store.subscribe, read, read);
}

/** The day of what stands on the sheet; null until its computation has begun. */
export function useSheetRun(): SheetRun | null {
  const { runs } = useSheetActions();
  const read = () => runs.run;
  return useSyncExternalStore(runs.subscribe, read, () => null);
}

/** Whether the run uses what was learnt at the bench, and the switch. */
export function useTaught(): [boolean, (taught: boolean) => void] {
  const { runs } = useSheetActions();
  const read = () => runs.taught;
  const taught = useSyncExternalStore(runs.subscribe, read, read);
  return [taught, (next) => runs.setTaught(next)];
}

/** Of a dough that parts, the bread that is looked at, on card and timeline alike; null: the first. */
export function useWay(): [string | null, (wayId: string | null) => void] {
  const { runs } = useSheetActions();
  const read = () => runs.wayId;
  const wayId = useSyncExternalStore(runs.subscribe, read, read);
  return [wayId, (next) => runs.setWay(next)];
}

export const newLocalId = (): string => newUuid().slice(0, 13);
