import type { Metadata } from 'next';
import { connection } from 'next/server';
import { SetUpPage } from '@/features/kitchen/SetUpPage';

export const metadata: Metadata = { title: 'Set up a kitchen' };

export default async function NewKitchen() {
  await connection();
  return <SetUpPage />;
}
