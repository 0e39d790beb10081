import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import type { Context } from '@/server/context';
import { knownId } from '@/server/knownId';
import { orUnreadable } from '@/server/orUnreadable';
import { kitchenOf } from './kitchenOf';

export interface IdParams {
  readonly params: Promise<{ kitchen: string; id: string }>;
}

/** The page of one stored document: not found, set aside because it cannot be read, or shown. */
export async function documentPage<T>(
  { params }: IdParams,
  load: (context: Context, id: string) => Promise<T | null>,
  show: (document: T, context: Context) => ReactNode | Promise<ReactNode>,
): Promise<ReactNode> {
  const id = knownId((await params).id);
  if (!id) notFound();
  const context = await kitchenOf(params);
  const found = await orUnreadable(load(context, id));
  if ('setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  if (!found.value) notFound();
  return show(found.value, context);
}
