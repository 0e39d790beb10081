'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import type { DayDocument } from '@/core/day/dayDocument';
import type { DayEdit } from '@/core/day/dayEdit';
import type { DayView } from '@/core/day/dayView';
import { PROOF_MOST_C } from '@/core/day/proofWarmth';
import type { OwnTool } from '@/core/day/shared';
import { ALLERGEN_WORD } from '@/wording/allergens';
import type { DayCallOut } from '@/core/day/agenda';
import { words } from '@/wording/screens/day/calls';
import { BLOCK_WORD, PUT_BY_WORD } from '@/wording/words';
import { useClockWords } from '../clock/useClockWords';
import { useUnits } from '../preferences/PreferencesProvider';

interface DayValue {
  readonly day: DayDocument;
  readonly view: DayView | null;
  readonly ovens: readonly { readonly id: string; readonly name: string }[];
  readonly nowMs: number;
  /** What is kept apart for bread without gluten. */
  readonly own?: readonly OwnTool[];
  /** When the bake of a batch ended; absent: it has not. */
  readonly overMs?: ReadonlyMap<string, number>;
  /** Answers why not; null: it is done. Where the day is only shown, absent. */
  readonly edit?: (edit: DayEdit) => string | null;
}

const NONE: readonly OwnTool[] = [];
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
  const { day, ovens, nowMs, own = NONE } = useDayValue();
  const clockWords = useClockWords(nowMs);
  const units = useUnits();
  return useMemo(() => {
    const oven = (id: string | null): string => ovens.find((each) => each.id === id)?.name ?? '';
    const batch = (id: string): string => day.batches.find((each) => each.id === id)?.name ?? '';
    const step = (call: { readonly step: keyof typeof BLOCK_WORD; readonly title: string }): string =>
      call.title || BLOCK_WORD[call.step];
    const call = (each: DayCallOut): string => {
      switch (each.kind) {
        case 'light':
          if (each.setC <= PROOF_MOST_C) return words.warm(oven(each.ovenId), units.temperature(each.setC));
          return words.light(oven(each.ovenId), units.temperature(each.setC), each.plate);
        case 'look':
          return each.step === 'feed' ? words.lookRipe : words.look(step(each));
        case 'out':
          return words.out(oven(each.ovenId));
        case 'ready': {
          const orders = day.batches.find(({ id }) => id === each.batchId)?.orders ?? [];
          return orders.length > 0
            ? words.readyFor(orders.map(({ who, pieces }) => words.order(who, pieces)).join(', '))
            : words.ready;
        }
        case 'keep': {
          const { name, feed, nobody } = each.due;
          const told = words.keep(
            name,
            units.mass(feed.keepG),
            units.mass(feed.flourG),
            units.mass(feed.waterG),
          );
          return nobody ? `${told} (${words.keepNobody})` : told;
        }
        case 'clean': {
          const { allergens, beforeId } = each.clean;
          if (beforeId === null) return words.cleanAfterWheat(words.own(own));
          return words.cleanBefore(
            allergens.map((allergen) => ALLERGEN_WORD[allergen]).join(', '),
            batch(beforeId),
          );
        }
        case 'soften':
          return words.soften(
            each.lines.map(({ name, massG }) => words.softenLine(units.mass(massG), name)).join(', '),
          );
        case 'block': {
          const { feed, takeOut } = each;
          if (takeOut) return words.takeOut(takeOut.pieces, PUT_BY_WORD[takeOut.as], step(each));
          return feed
            ? words.feed(feed.name, units.mass(feed.seedG), units.mass(feed.flourG), units.mass(feed.waterG))
            : step(each);
        }
      }
    };
    return {
      ...clockWords,
      oven,
      batch,
      call,
      temp: units.temperature,
    };
  }, [day.batches, ovens, own, clockWords, units]);
}
