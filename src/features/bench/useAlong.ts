'use client';
import { useMemo } from 'react';
import { toldReadings, withWhatGoesOn, type BakeRecord } from '@/core/bake';
import { useInstrumentBoard } from '../instruments/InstrumentsProvider';
import type { Bench } from './useBench';

/** The same bench; with a press goes what begins by it, and what the probes show at it. */
export function useAlong(sheet: BakeRecord['sheet'], bench: Bench): Bench {
  const board = useInstrumentBoard();
  return useMemo(() => {
    const tap: Bench['tap'] = (...actions) => {
      // when is no matter to what follows
      const all = withWhatGoesOn(sheet, bench.state, actions, bench.state.startedAtMs);
      return bench.tap(...all, ...toldReadings(all, board.probes()));
    };
    return { ...bench, tap };
  }, [bench, board, sheet]);
}
