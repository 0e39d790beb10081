'use client';
import { useEffect } from 'react';

/** The least that can answer a key: what ./crumb bench holds the first answered key of every page against. */
export function EmptyKey() {
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent) => {
      // not the lamp: that is answered before any page's own code is there
      if (key === 'E') document.documentElement.dataset.answered = 'yes';
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return null;
}
