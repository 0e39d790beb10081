import type { SetAside } from '@/core/documents';
import { UnreadableDocument } from '@/db/rows';

/** What was asked for, or the note that it cannot be read; every other fault stays one. */
export async function orUnreadable<T>(asked: Promise<T>): Promise<{ value: T } | { setAside: SetAside }> {
  try {
    return { value: await asked };
  } catch (error) {
    if (error instanceof UnreadableDocument) return { setAside: error.setAside };
    throw error;
  }
}
