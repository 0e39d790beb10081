'use client';
import { useEffect, useState } from 'react';

const BLINK_MS = 400;

/**
 * False for a blink after one thing on the screen has been exchanged for the next under the reader's hand, so that a knuckle
 * that bounces on a large button does not tick off what it has not even seen.
 *
 * @param exchanged does this stand where something else stood just now? False for what the page opened with.
 */
export function useSteady(exchanged: boolean): boolean {
  const [steady, setSteady] = useState(!exchanged);
  useEffect(() => {
    if (steady) return;
    const timer = setTimeout(() => setSteady(true), BLINK_MS);
    return () => clearTimeout(timer);
  }, [steady]);
  return steady;
}
