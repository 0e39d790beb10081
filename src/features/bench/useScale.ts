'use client';
import { useState } from 'react';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { scaleStore } from './scaleStore';

/** How the scale is used here, and how to use it otherwise. */
export function useScale() {
  const { address } = useKitchen();
  const [store] = useState(() => scaleStore(address));
  return useDevice(store);
}
