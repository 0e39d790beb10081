import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { LarderPage } from '@/features/larder/LarderPage';

export const metadata: Metadata = { title: 'Larder' };

export default function Page() {
  return (
    <NuqsAdapter>
      <LarderPage />
    </NuqsAdapter>
  );
}
