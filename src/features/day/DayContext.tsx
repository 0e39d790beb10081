'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import type { DayDocument } from '@/core/day/dayDocument';
import type { DayEdit } from '@/core/day/dayEdit';
import type { DayView } from '@/core/day/dayView';
import type { DayCallOut } from '@/core/day/agenda';
import type { Kit } from '@/core/kit';
import { words } from '@/wording/screens/day/calls';
import { STEP_WORD } from '@/wording/words';
import { useKitchenTime } from '../preferences/time';
import { useUnits } from '../preferences/PreferencesProvider';

interface DayValue {
  readonly day: DayDocument;
  readonly view: DayView | null;
  readonly kit: Kit;
  readonly nowMs: number;
  /** Answers why not; null: it is done. */
  readonly edit: (edit: DayEdit) => string | null;
}

const Context = createContext<DayValue | null>(null);
export function DayProvider({ value, children }: { value: DayValue; children: ReactNode }) {
  return <Context value={value}>{children}</Context>;
}
export function useDayValue(): DayValue {
  const value = useContext(Context);
  if (!value) throw new Error('useDayValue needs a DayProvider above it');
  return value;
}

/** How things of the day are told: by the kitchen's clock, its ovens by their names, its batches by their formulas'. */
export function useDayWords() {
  const { day, kit, nowMs } = useDayValue();
  const time = useKitchenTime();
  const units = useUnits();
  return useMemo(() => {
    const oven = (id: string | null): string => kit.ovens.find((each) => each.id === id)?.name ?? '';
    const batch = (id: string): string => day.batches.find((each) => each.id === id)?.name ?? '';
    const today = time.day(nowMs);
    /** With its day where it is not today's. */
    const at = (ms: number): string => (time.day(ms) === today ? time.clock(ms) : time.dayAndClock(ms));
    const step = (call: { readonly step: keyof typeof STEP_WORD; readonly title: string }): string =>
      call.title || STEP_WORD[call.step];
    const call = (each: DayCallOut): string => {
      switch (each.kind) {
        case 'light':
          return words.light(oven(each.ovenId), units.temperature(each.setC), each.plate);
        case 'look':
          return words.look(step(each));
        case 'ready':
          return words.ready;
        case 'block':
          return step(each);
      }
    };
    return { oven, batch, at, call, clock: time.clock, temp: units.temperature };
  }, [day.batches, kit.ovens, nowMs, time, units]);
}
