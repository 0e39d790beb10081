'use client';
import { useState } from 'react';
import { DeviceStore } from '../device/deviceStore';
import { isRecord } from '../device/found';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useInstruments } from './InstrumentsProvider';

interface AtHand {
  /** The scale beside this device; 'none': it is read by eye; empty: nobody has said. */
  readonly scaleId: string;
}

const readFound = (found: unknown): AtHand | null =>
  isRecord(found) && typeof found.scaleId === 'string' ? { scaleId: found.scaleId } : null;

/** Which scale stands beside this device, and how to say it is another: where nobody has said, the only one there is. */
export function useScaleAtHand(): readonly [string | null, (scaleId: string | null) => void] {
  const { address } = useKitchen();
  const [store] = useState(() => new DeviceStore(`crumb-at-hand:${address}`, readFound, { scaleId: '' }));
  const [{ scaleId }, change] = useDevice(store);
  const scales = useInstruments().filter(({ kind }) => kind === 'scale');
  const chosen = scales.find(({ id }) => id === scaleId);
  const alone = scaleId !== 'none' && scales.length === 1 ? scales[0] : undefined;
  return [(chosen ?? alone)?.id ?? null, (to) => change({ scaleId: to ?? 'none' })];
} // prettier-ignore
