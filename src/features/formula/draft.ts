import type { Formula } from '@/core/formula';
import { newUuid } from '@/ui/newUuid';

/** What was typed and not yet acknowledged, kept in the browser so that a reload or a crash does not take it. */
export interface Draft {
  readonly seen: number;
  readonly formula: Formula;
}

const PREFIX = 'crumb-draft';

/** Each tab keeps its own draft: two tabs on one formula must not write over each other here either. */
function tabId(): string {
  const known = sessionStorage.getItem('crumb-tab');
  if (known) return known;
  const made = newUuid();
  sessionStorage.setItem('crumb-tab', made);
  return made;
}

const keyOf = (formulaId: string, tab: string): string => `${PREFIX}:${formulaId}:${tab}`;

export function rememberDraft(formulaId: string, draft: Draft | null): void {
  try {
    const key = keyOf(formulaId, tabId());
    if (draft) localStorage.setItem(key, JSON.stringify(draft));
    else localStorage.removeItem(key);
  } catch {
    // storage full or forbidden: the draft still lives in the page and in the save under way
  }
}

/** What was left as draft, if it is one. Throws when the schema cannot be had: then nothing is known about the draft. */
async function read(kept: string): Promise<Draft | null> {
  // fetched only when there is a draft to hold against it: a sheet opens without it
  const { formulaSchema } = await import('@/core/formula/formulaSchema');
  try {
    const raw = JSON.parse(kept) as { seen?: unknown; formula?: unknown } | null;
    const formula = formulaSchema.safeParse(raw?.formula);
    return formula.success && typeof raw?.seen === 'number'
      ? { seen: raw.seen, formula: formula.data }
      : null;
  } catch {
    return null;
  }
}

/** Says to the other tabs that this one is alive, for as long as it is: the browser lets go of the lock when it dies. */
export function holdTab(): void {
  void navigator.locks?.request(`crumb-tab:${tabId()}`, () => new Promise(() => undefined));
}

/**
 * This tab's draft of a formula, or one left behind by a tab that is gone; it is moved to this tab. A draft that cannot be
 * looked at now (the server went away before the schema came) is left where it is, for the next page.
 */
export async function findDraft(formulaId: string): Promise<Draft | null> {
  try {
    const own = localStorage.getItem(keyOf(formulaId, tabId()));
    if (own !== null) return await read(own);
    // without locks (plain http) there is no telling a dead tab from a living one: leave what is theirs
    if (!navigator.locks) return null;
    const held = new Set((await navigator.locks.query()).held?.map((lock) => lock.name));
    for (const key of Object.keys(localStorage)) {
      const tab = key.startsWith(`${PREFIX}:${formulaId}:`) ? key.slice(keyOf(formulaId, '').length) : null;
      if (tab === null || held.has(`crumb-tab:${tab}`)) continue;
      const left = await read(localStorage.getItem(key) ?? '');
      localStorage.removeItem(key);
      if (left) return left;
    }
  } catch {
    // This tab takes another name, so that what it types next is not written over a draft nobody could read.
    sessionStorage.removeItem('crumb-tab');
  }
  return null;
}
