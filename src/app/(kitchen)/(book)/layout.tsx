import type { ReactNode } from 'react';
import { BookProvider } from '@/features/book/BookProvider';
import { KitProvider } from '@/features/kit/KitProvider';
import { currentContext } from '@/server/currentContext';
import { siftLarder } from '@/server/ingredients';
import { loadKit } from '@/server/kit';

/** Pages that compute with ingredients and kit have them at hand; the lists, which do not, carry neither. */
export default async function BookLayout({ children }: { children: ReactNode }) {
  const context = await currentContext();
  const [{ stored }, kit] = await Promise.all([siftLarder(context), loadKit(context)]);
  return (
    <BookProvider stored={stored}>
      <KitProvider stored={kit}>{children}</KitProvider>
    </BookProvider>
  );
}
