import type { Metadata } from 'next';
import { ReadingPage } from '@/features/reading/ReadingPage';
import { Book } from '../../../Book';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const metadata: Metadata = { title: 'Read a recipe' };

export default async function Page({ params }: KitchenParams) {
  return (
    <Book context={await kitchenOf(params)} holds={null}>
      <ReadingPage />
    </Book>
  );
}
