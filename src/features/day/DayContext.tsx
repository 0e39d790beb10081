'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import type { DayDocument } from '@/core/day/dayDocument';
import type { DayEdit } from '@/core/day/dayEdit';
import type { DayView } from '@/core/day/dayView';
import type { DayCallOut } from '@/core/day/agenda';
import { words } from '@/wording/screens/day/calls';
import { BLOCK_WORD } from '@/wording/words';
import { useKitchenTime } from '../preferences/time';
import { useUnits } from '../preferences/PreferencesProvider';

interface DayValue {
  readonly day: DayDocument;
  readonly view: DayView | null;
  readonly ovens: readonly { readonly id: string; readonly name: string }[];
  readonly nowMs: number;
  /** When the bake of a batch ended; absent: it has not. */
  readonly overMs?: ReadonlyMap<string, number>;
  /** Answers why not; null: it is done. Where the day is only shown, absent. */
  readonly edit?: (edit: DayEdit) => string | null;
}

const DAY_MS = 86_400_000;
const Context = createContext<DayValue | null>(null);
export function DayProvider({ value, children }: { value: DayValue; children: ReactNode }) {
  return <Context value={value}>{children}</Context>;
}
export function useDayValue(): DayValue {
  const value = useContext(Context);
  if (!value) throw new Error('useDayValue needs a DayProvider above it');
  return value;
}

const REFUSED = (): string => '';
/** For what is drawn only where the day can be changed. */
export const useDayEdit = (): NonNullable<DayValue['edit']> => useDayValue().edit ?? REFUSED;

/** How things of the day are told: by the kitchen's clock, its ovens by their names, its batches by their formulas'. */
export function useDayWords() {
  const { day, ovens, nowMs } = useDayValue();
  const time = useKitchenTime();
  const units = useUnits();
  return useMemo(() => {
    const oven = (id: string | null): string => ovens.find((each) => each.id === id)?.name ?? '';
    const batch = (id: string): string => day.batches.find((each) => each.id === id)?.name ?? '';
    const today = time.day(nowMs);
    const tomorrow = time.day(nowMs + DAY_MS);
    /** Empty: today's. */
    const dayOf = (ms: number): string => {
      const day = time.day(ms);
      return day === today ? '' : day === tomorrow ? words.tomorrow : day;
    };
    /** With its day where it is not today's. */
    const at = (ms: number): string => [dayOf(ms), time.clock(ms)].filter(Boolean).join(' ');
    /** Two moments, the day told once. */
    const fromTo = (fromMs: number, toMs: number): string =>
      words.fromTo(at(fromMs), time.day(fromMs) === time.day(toMs) ? time.clock(toMs) : at(toMs));
    const step = (call: { readonly step: keyof typeof BLOCK_WORD; readonly title: string }): string =>
      call.title || BLOCK_WORD[call.step];
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
    return {
      oven,
      batch,
      at,
      fromTo,
      dayOf,
      day: time.day,
      call,
      clock: time.clock,
      temp: units.temperature,
    };
  }, [day.batches, ovens, nowMs, time, units]);
}
