import type { Metadata } from 'next';
import { HelpPage } from '@/features/help/HelpPage';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.help };

export default function Page() {
  return <HelpPage />;
}
