import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { NETWORK_HEADER } from '@/core/network/deviceKey';
import { PairPage } from '@/features/network/PairPage';
import { words } from '@/wording/screens/kit/KitDevices';

export const metadata: Metadata = { title: words.pair };

/** Shown to a device that is not paired: nothing of any kitchen is in it, and no database is asked. */
export default async function Page() {
  return <PairPage isNeeded={(await headers()).has(NETWORK_HEADER)} />;
}
