import type { Metadata } from 'next';
import { connection } from 'next/server';
import { KitchensPage } from '@/features/kitchen/KitchensPage';
import { installation } from '@/server/kitchenContext';
import { kitchensHere } from '@/server/kitchens';

export const metadata: Metadata = { title: 'Kitchens' };

export default async function Kitchens() {
  await connection();
  return <KitchensPage kitchens={await kitchensHere(installation())} />;
}
