import type { Metadata } from 'next';
import { connection } from 'next/server';
import { KitchensPage } from '@/features/kitchen/KitchensPage';
import { installation } from '@/server/kitchenContext';
import { kitchensHere } from '@/server/kitchens';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.kitchens };

export default async function Kitchens() {
  await connection();
  return <KitchensPage kitchens={await kitchensHere(installation())} />;
}
