import { isOwnId } from '@/core/ingredients/ownId';
import type { Context } from './context';

/** A bag by its id, also one that is finished or put away long since, with its name; null: it is no id of a bag. */
export async function knownLot(
  context: Context,
  id: string,
): Promise<{ readonly id: string; readonly name: string } | null> {
  if (!isOwnId(id)) return null;
  const { entries } = await context.larder();
  const entry = entries.find((each) => each.id === id)?.entry;
  return { id, name: entry?.kind === 'lot' ? entry.code : id };
}
