'use client';
import { createContext, useContext, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { ShownInstrument } from '@/core/instrument/shownInstrument';
import { ask } from '../asking/ask';
import { useNow } from '../clock/useNow';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useNews } from '../news/useNews';
import { InstrumentBoard, type ProbeNow } from './instrumentBoard';

const NONE = new InstrumentBoard();
const Context = createContext(NONE);

/** What the page below is shown of instruments is what this board says. */
export function InstrumentsProvider({ board, children }: { board: InstrumentBoard; children: ReactNode }) {
  return <Context value={board}>{children}</Context>;
}

/** While nothing is told it is asked for so often: a scale that is looked at so rarely is no help, a thermometer is. */
const LOOK_EVERY_MS = 5000;

/** What the kitchen's own instruments tell the server. */
export function KitchenInstruments({ children }: { children: ReactNode }) {
  const kitchen = useKitchen();
  const [board] = useState(() => new InstrumentBoard());
  useNews(
    (news) => news.of === 'instrument' && news.kitchen === kitchen.address,
    () => {
      void ask<{ instruments: readonly ShownInstrument[]; nowMs: number }>(kitchen.api('/instruments')).then((answer) => {
        if (answer.kind !== 'ok') return;
        const offsetMs = answer.value.nowMs - Date.now();
        board.put(answer.value.instruments, () => Date.now() + offsetMs);
      });
    },
    LOOK_EVERY_MS,
  );
  return <InstrumentsProvider board={board}>{children}</InstrumentsProvider>;
} // prettier-ignore

export const useInstrumentBoard = (): InstrumentBoard => useContext(Context);

/** The instruments there are, whether they show something or not. */
export function useInstruments(): readonly ShownInstrument[] {
  const board = useInstrumentBoard();
  return useSyncExternalStore(board.subscribe, board.read, board.read);
}

/** What probes show now; one that falls silent is gone a little later. */
export function useProbes(): readonly ProbeNow[] {
  const board = useInstrumentBoard();
  useInstruments();
  // silence is told by nobody
  useNow(0, 0);
  return board.probes();
}
