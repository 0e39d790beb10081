import type { Metadata } from 'next';
import { TaughtPage } from '@/features/taught/TaughtPage';
import { taughtSoon } from '@/server/taught';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.learnt };

export default async function Page({ params }: KitchenParams) {
  return <TaughtPage taught={await taughtSoon(await kitchenOf(params))} />;
}
