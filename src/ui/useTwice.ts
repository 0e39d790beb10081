'use client';
import { useEffect, useRef, useState } from 'react';

/** Closer together is a knuckle that bounces, further apart another thought. */
const APART_MS = 700;
const FORGET_MS = 8000;

/** For what cannot be done by one slip: true only for the second of two presses, a moment apart. */
export function useTwice(): { asked: boolean; press: () => boolean } {
  const [asked, setAsked] = useState(false);
  const first = useRef(-Infinity);
  useEffect(() => {
    if (!asked) return;
    const timer = setTimeout(() => setAsked(false), FORGET_MS);
    return () => clearTimeout(timer);
  }, [asked]);
  return {
    asked,
    press: () => {
      const now = performance.now();
      const since = now - first.current;
      if (asked && since >= APART_MS && since < FORGET_MS) {
        setAsked(false);
        return true;
      }
      if (!asked || since >= FORGET_MS) {
        first.current = now;
        setAsked(true);
      }
      return false;
    },
  };
}
