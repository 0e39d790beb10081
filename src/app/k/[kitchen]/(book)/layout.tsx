import type { ReactNode } from 'react';
import { BookProvider } from '@/features/book/BookProvider';
import { KitProvider } from '@/features/kit/KitProvider';
import { siftLarder } from '@/server/ingredients';
import { loadKit } from '@/server/kit';
import { kitchenOf, type KitchenParams } from '../kitchenOf';

/** Pages that compute with ingredients and kit have them at hand; the lists, which do not, carry neither. */
export default async function BookLayout({ children, params }: KitchenParams & { children: ReactNode }) {
  const context = await kitchenOf(params);
  const [{ stored }, kit] = await Promise.all([siftLarder(context), loadKit(context)]);
  return (
    <BookProvider stored={stored}>
      <KitProvider stored={kit}>{children}</KitProvider>
    </BookProvider>
  );
}
