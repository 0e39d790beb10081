/** Where something is new, as every page that is open is told. What it is is asked for. */
export type News =
  | { readonly of: 'bake'; readonly id: string }
  | { readonly of: 'day' }
  /** Some instrument of this kitchen told something. */
  | { readonly of: 'instrument'; readonly kitchen: string }
  /** Whether news can be heard at all just now: while not, it has to be asked for. */
  | { readonly of: 'hearing'; readonly is: boolean }
  /** Nothing; so that silence means a dead connection. */
  | { readonly of: 'beat' };

/** Beats come so often, ms. */
export const BEAT_MS = 10_000;

/** What was said, if it is news of this version; what a newer server says beside it is passed over. */
export function readNews(text: string): News | null {
  let told: Partial<Record<'of' | 'id' | 'is' | 'kitchen', unknown>> | null;
  try {
    told = JSON.parse(text) as typeof told;
  } catch {
    return null;
  }
  switch (told?.of) {
    case 'bake':
      return typeof told.id === 'string' ? { of: 'bake', id: told.id } : null;
    case 'instrument':
      return typeof told.kitchen === 'string' ? { of: 'instrument', kitchen: told.kitchen } : null;
    case 'hearing':
      return { of: 'hearing', is: told.is === true };
    case 'day':
    case 'beat':
      return { of: told.of };
    default:
      return null;
  }
}
