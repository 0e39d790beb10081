import type { Formula } from '@/core/formula';
import type { SaveWish } from '../queue/saver';

/** A sheet's draft. The schema is fetched only when there is one to hold against it: a sheet opens without it. */
export async function readSheetDraft(body: unknown): Promise<SaveWish<Formula> | null> {
  const { saveFormulaSchema } = await import('@/core/requests');
  const read = saveFormulaSchema.safeParse(body);
  if (!read.success) return null;
  const { requestId, seen, formula } = read.data;
  return { requestId, seen, value: formula };
}
