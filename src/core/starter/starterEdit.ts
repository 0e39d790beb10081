import { ok, refuse, type Result } from '../result';
import type { Starter, StarterEvent, StartersDocument } from './starterDocument';
import { STARTER_LIMITS } from './starterLimits';

/** A change of the starters, as a hand makes it. */
export type StarterEdit =
  | { readonly type: 'add'; readonly starter: Omit<Starter, 'log'> }
  | { readonly type: 'change'; readonly starterId: string; readonly part: Partial<Omit<Starter, 'id' | 'log'>> }
  | { readonly type: 'remove'; readonly starterId: string }
  | { readonly type: 'tell'; readonly starterId: string; readonly event: StarterEvent }
  | { readonly type: 'takeBack'; readonly starterId: string; readonly eventId: string }; // prettier-ignore

/** Nothing is told of a moment that is further ahead than clocks differ. */
const AHEAD_MS = 5 * 60_000;

/**
 * The starters with a change made. Of a log that is full the oldest goes.
 *
 * @returns `tooMany` at starters, `tooLarge` at event where it has not happened yet, `notAllowed` at starterId where it is not there any more
 */
export function editStarters({ starters }: StartersDocument, edit: StarterEdit, nowMs: number): Result<StartersDocument> {
  if (edit.type === 'add') {
    if (starters.length >= STARTER_LIMITS.most) return refuse('tooMany', 'starters', { max: STARTER_LIMITS.most });
    return ok({ starters: [...starters, { ...edit.starter, log: [] }] });
  }
  if (!starters.some(({ id }) => id === edit.starterId)) return refuse('notAllowed', 'starterId');
  if (edit.type === 'remove') return ok({ starters: starters.filter(({ id }) => id !== edit.starterId) });
  if (edit.type === 'tell' && edit.event.atMs > nowMs + AHEAD_MS) return refuse('tooLarge', 'event');
  const changed = (starter: Starter): Starter => {
    switch (edit.type) {
      case 'change':
        return { ...starter, ...edit.part };
      case 'tell': {
        // told twice it happened once
        const others = starter.log.filter(({ id }) => id !== edit.event.id);
        const log = [...others, edit.event].sort((a, b) => a.atMs - b.atMs);
        return { ...starter, log: log.slice(-STARTER_LIMITS.log) };
      }
      case 'takeBack':
        return { ...starter, log: starter.log.filter(({ id }) => id !== edit.eventId) };
    }
  };
  return ok({ starters: starters.map((starter) => (starter.id === edit.starterId ? changed(starter) : starter)) });
} // prettier-ignore
