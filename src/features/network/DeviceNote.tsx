'use client';
import { Eye, Unplug } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { PAIR_PAGE } from '@/core/network/deviceKey';
import { words } from '@/wording/screens/network/DeviceNote';
import { pairing } from '../asking/pairing';
import { useMay } from '../kitchen/KitchenProvider';

/** What a device of the network may not do here, said before it is pressed; and that it may do nothing any more. */
export function DeviceNote({ atBench }: { atBench: boolean }) {
  const may = useMay();
  const isPaired = useSyncExternalStore(pairing.subscribe, pairing.isPaired, () => true);
  const Icon = isPaired ? Eye : Unplug;
  const note = may === 'look' ? words.looksOn : may === 'bench' && !atBench ? words.bakes : null;
  if (isPaired && note === null) return null;
  return (
    <p role="status" data-testid="device-note"
      className="no-print flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-edge bg-well px-3 py-1.5 text-sm font-semibold sm:px-5">
      <Icon size={18} aria-hidden className="shrink-0" />
      <span className="min-w-0 flex-1 basis-60">{isPaired ? note : words.withdrawn}</span>
      {!isPaired && <a href={PAIR_PAGE} className="inline-flex min-h-12 items-center underline">{words.pairAnew}</a>}
    </p>
  );
} // prettier-ignore
