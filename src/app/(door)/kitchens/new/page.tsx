import type { Metadata } from 'next';
import { connection } from 'next/server';
import { SetUpPage } from '@/features/kitchen/SetUpPage';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.setUpAKitchen };

export default async function NewKitchen() {
  await connection();
  return <SetUpPage />;
}
