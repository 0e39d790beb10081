'use client';
import { useEffect, useState } from 'react';

/** The width something has, followed as the window changes; 0 until it stands. */
export function useWidth<E extends HTMLElement = HTMLDivElement>() {
  // a state, not a ref: what is measured may come later than whoever measures it
  const [frame, setFrame] = useState<E | null>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!frame) return undefined;
    const observer = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0));
    observer.observe(frame);
    return () => observer.disconnect();
  }, [frame]);
  return { ref: setFrame, frame, width };
}
