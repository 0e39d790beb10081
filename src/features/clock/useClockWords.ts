'use client';
import { useMemo } from 'react';
import { words } from '@/wording/screens/day/calls';
import { useKitchenTime } from '../preferences/time';

const DAY_MS = 86_400_000;

/** Moments by the kitchen's clock, with their day where it is not today's. */
export function useClockWords(nowMs: number) {
  const time = useKitchenTime();
  const today = time.day(nowMs);
  const tomorrow = time.day(nowMs + DAY_MS);
  return useMemo(() => {
    /** Empty: today's. */
    const dayOf = (ms: number): string => {
      const day = time.day(ms);
      return day === today ? '' : day === tomorrow ? words.tomorrow : day;
    };
    const at = (ms: number): string => [dayOf(ms), time.clock(ms)].filter(Boolean).join(' ');
    /** Two moments, the day told once. */
    const fromTo = (fromMs: number, toMs: number): string =>
      words.fromTo(at(fromMs), time.day(fromMs) === time.day(toMs) ? time.clock(toMs) : at(toMs));
    return { dayOf, at, fromTo, day: time.day, clock: time.clock };
  }, [time, today, tomorrow]);
}
