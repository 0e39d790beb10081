'use client';
import { createContext, useContext, type ReactNode } from 'react';
import type { Kit } from '@/core/kit';

interface KeptKit {
  readonly version: number;
  readonly kit: Kit;
}
const Context = createContext<KeptKit | null>(null);

/** What the kitchen has, at hand on every page. */
export function KitProvider({ kept, children }: { kept: KeptKit; children: ReactNode }) {
  return <Context value={kept}>{children}</Context>;
}

export function useKeptKit(): KeptKit {
  const kept = useContext(Context);
  if (!kept) throw new Error('useKeptKit needs a KitProvider above it');
  return kept;
}
