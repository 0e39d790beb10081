'use client';
import { useId, type ReactNode } from 'react';
import type { Kit } from '@/core/kit';

/** What each card of the kit page is given: the kit, and the way to put parts of it. */
export interface KitProps {
  readonly kit: Kit;
  readonly change: (part: Partial<Kit>) => void;
}

export function KitCard({ title, children }: { title: string; children: ReactNode }) {
  const id = useId();
  return (
    <section aria-labelledby={id} className="docket rounded-b-md px-4 pt-4 pb-3">
      <h2 id={id} className="text-lg">
        {title}
      </h2>
      {children}
    </section>
  );
}
