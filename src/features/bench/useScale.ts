'use client';
import { useState, useSyncExternalStore } from 'react';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ScaleStore, type ScaleUse } from './scaleStore';

/** How the scale is used here, and how to use it otherwise. */
export function useScale(): readonly [ScaleUse, (part: Partial<ScaleUse>) => void] {
  const { address } = useKitchen();
  const [store] = useState(
    () => new ScaleStore(address, () => (typeof localStorage === 'undefined' ? null : localStorage)),
  );
  const use = useSyncExternalStore(store.subscribe, store.read, store.onServer);
  return [use, (part) => store.change(part)];
}
