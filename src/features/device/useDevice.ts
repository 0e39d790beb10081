'use client';
import { useSyncExternalStore } from 'react';
import type { DeviceStore } from './deviceStore';

/** What a store of this device says, and how to say otherwise. */
export function useDevice<T extends object>(store: DeviceStore<T>): readonly [T, (part: Partial<T>) => void] {
  const known = useSyncExternalStore(store.subscribe, store.read, store.onServer);
  return [known, (part) => store.change(part)];
}
