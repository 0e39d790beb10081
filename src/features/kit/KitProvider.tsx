'use client';
import { createContext, useContext, type ReactNode } from 'react';
import type { Kit } from '@/core/kit';

interface StoredKit {
  readonly version: number;
  readonly kit: Kit;
}
const Context = createContext<StoredKit | null>(null);

/** What the kitchen has, at hand on every page. */
export function KitProvider({ stored, children }: { stored: StoredKit; children: ReactNode }) {
  return <Context value={stored}>{children}</Context>;
}

export function useStoredKit(): StoredKit {
  const stored = useContext(Context);
  if (!stored) throw new Error('useStoredKit needs a KitProvider above it');
  return stored;
}
