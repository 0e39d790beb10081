'use client';
import { useEffect, useState, type ComponentType } from 'react';
import { flushSync } from 'react-dom';
import { patiently } from './patiently';

/**
 * What is for paper alone: fetched when the page stands, drawn only while it is printed, so that nobody's typing pays for
 * it. The browser does not wait: the paper is there before the event of printing ends. `load` must be a constant.
 */
export function OnPaper({ load }: { load: () => Promise<ComponentType> }) {
  const [paper, setPaper] = useState<{ readonly Paper: ComponentType } | null>(null);
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    let left = false;
    void patiently(load)().then((Paper) => {
      if (!left) setPaper({ Paper });
    });
    return () => {
      left = true;
    };
  }, [load]);
  useEffect(() => {
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return printing && paper ? <paper.Paper /> : null;
}
