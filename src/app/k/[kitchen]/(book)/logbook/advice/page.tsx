import type { Metadata } from 'next';
import { AdviceRecord } from '@/features/advice/AdviceRecord';
import { adviceSoFar } from '@/server/advice';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.advice };

export default async function Page({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  return <AdviceRecord lines={await adviceSoFar(context)} />;
}
