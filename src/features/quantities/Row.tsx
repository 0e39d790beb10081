'use client';
import type { ReactNode } from 'react';

/** A word on the left, what is chosen on the right. */
export function Row({ word, children }: { word: ReactNode; children: ReactNode }) {
  return (
    <div className="flex items-center justify-between gap-2 border-t border-rule py-0.5 text-sm">
      <span>{word}</span>
      {children}
    </div>
  );
}
