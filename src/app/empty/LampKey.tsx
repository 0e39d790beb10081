'use client';
import { useEffect } from 'react';

/** The least that can answer a key: what ./crumb bench holds the first answered key of every page against. */
export function LampKey() {
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent) => {
      const { dataset } = document.documentElement;
      if (key === 'D') dataset.light = dataset.light === 'dim' ? 'day' : 'dim';
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return null;
}
