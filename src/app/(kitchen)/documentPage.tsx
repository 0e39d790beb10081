import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import type { Context } from '@/server/context';
import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { orUnreadable } from '@/server/orUnreadable';

export interface IdParams {
  readonly params: Promise<{ id: string }>;
}

/** The page of one stored document: not found, set aside because it cannot be read, or shown. */
export async function documentPage<T>(
  { params }: IdParams,
  load: (context: Context, id: string) => Promise<T | null>,
  show: (document: T, context: Context) => ReactNode | Promise<ReactNode>,
): Promise<ReactNode> {
  const id = knownId((await params).id);
  if (!id) notFound();
  const context = await currentContext();
  const found = await orUnreadable(load(context, id));
  if ('setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  if (!found.value) notFound();
  return show(found.value, context);
}
