import type { ReactNode } from 'react';
import { BookProvider } from '@/features/book/BookProvider';
import { KitProvider } from '@/features/kit/KitProvider';
import type { Context } from '@/server/context';
import { siftLarder } from '@/server/ingredients';
import { loadKit } from '@/server/kit';
import { ingredientsIn } from '@/server/ingredientsIn';

interface BookProps {
  context: Context;
  /** What is on the page, in whatever shape: the ingredients named in it are sent along. */
  holds: unknown;
  children: ReactNode;
}

/** A page that computes with ingredients and kit has them at hand; the lists, which do not, carry neither. */
export async function Book({ context, holds, children }: BookProps) {
  const [{ stored }, kit] = await Promise.all([siftLarder(context), loadKit(context)]);
  return (
    <BookProvider stored={stored} seed={ingredientsIn(holds, stored)}>
      <KitProvider stored={kit}>{children}</KitProvider>
    </BookProvider>
  );
}
