import { editStarters, type StarterEdit } from '../starter/starterEdit';
import type { StartersDocument } from '../starter/starterDocument';
import type { DayBatchDocument } from './dayDocument';
import type { DayEdit } from './dayEdit';
import { feedBlockId } from './fedBlock';

/** What a batch takes out of a jar as it is. */
export interface FromJar {
  readonly starterId: string;
  readonly name: string;
  readonly massG: number;
}

/** What a change of the day tells of a starter's jar; null: nothing. One batch takes once: its id names the event. */
function toldBy(batch: DayBatchDocument | undefined, edit: DayEdit, fromJar: FromJar | null, nowMs: number): StarterEdit | null {
  if (!batch) return null;
  const taken = (starterId: string, massG: number, atMs: number): StarterEdit => ({
    type: 'tell', starterId, event: { kind: 'taken', id: batch.id, atMs: Math.min(atMs, nowMs), massG },
  });
  switch (edit.type) {
    case 'begun': {
      const feed = batch.at[edit.blockId]?.feed;
      return feed ? taken(feed.starterId, feed.seedG, edit.atMs) : null;
    }
    case 'takeBack': {
      const starterId = batch.at[edit.blockId]?.feed?.starterId;
      return starterId && edit.blockId === feedBlockId(starterId) ? { type: 'takeBack', starterId, eventId: batch.id } : null;
    }
    case 'bake':
      return fromJar ? taken(fromJar.starterId, fromJar.massG, nowMs) : null;
    default:
      return null;
  }
} // prettier-ignore

/** The starters after a change of the day: what was fed for a dough, or went into one, is out of the jar. The same where it tells nothing of them. */
export function starterTaken(
  starters: StartersDocument,
  batches: readonly DayBatchDocument[],
  edit: DayEdit,
  fromJar: FromJar | null,
  nowMs: number,
): StartersDocument {
  const batch = 'batchId' in edit ? batches.find(({ id }) => id === edit.batchId) : undefined;
  const told = toldBy(batch, edit, fromJar, nowMs);
  const made = told && editStarters(starters, told, nowMs);
  return made?.ok ? made.value : starters;
}
