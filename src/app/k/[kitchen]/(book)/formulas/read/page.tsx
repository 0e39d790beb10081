import type { Metadata } from 'next';
import { ReadingPage } from '@/features/reading/ReadingPage';
import { Book } from '../../../Book';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.importARecipe };

export default async function Page({ params }: KitchenParams) {
  return (
    <Book context={await kitchenOf(params)} holds={null}>
      <ReadingPage />
    </Book>
  );
}
