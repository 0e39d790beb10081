import type { Metadata } from 'next';
import { ReadingPage } from '@/features/reading/ReadingPage';

export const metadata: Metadata = { title: 'Read a recipe' };

export default function Page() {
  return <ReadingPage />;
}
