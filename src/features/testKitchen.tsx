import { render, type RenderResult } from '@testing-library/react';
import type { ReactNode } from 'react';
import { bakeState, decideAll, type BakeAction, type BakeRecord } from '@/core/bake';
import { loafSheet } from '@/core/batch/testBatch';
import { libraryBook, type StoredEntry } from '@/core/ingredients';
import { ORDINARY_KIT, PLAIN_WAYS } from '@/core/kit';
import { BookProvider } from './book/BookProvider';
import { wholeBook } from './book/wholeBook';
import type { Bench } from './bench/useBench';
import { KitchenProvider } from './kitchen/KitchenProvider';
import { KitProvider } from './kit/KitProvider';
import { readPreferences, type Preferences } from './preferences/preferences';
import { PreferencesProvider, type KitchenWays } from './preferences/PreferencesProvider';

/** For screen tests: a made-up bake, a bench that remembers its taps, and the frame every screen stands in. */
export const START_MS = Date.UTC(2026, 10, 19, 5, 0);

export function testBake(actions: readonly BakeAction[] = []): BakeRecord {
  return {
    id: 'bake',
    formulaId: 'formula',
    revision: 3,
    startedAtMs: START_MS,
    sheet: loafSheet(490),
    events: actions.map((action, index) => ({
      seq: index + 1,
      atMs: START_MS + (index + 1) * 60_000,
      action,
    })),
  };
}

/** A bench whose server takes what is possible at once. `taps` is what was tapped. */
export function testBench(bake: BakeRecord): { bench: Bench; taps: BakeAction[] } {
  const taps: BakeAction[] = [];
  let state = bakeState(bake.startedAtMs, bake.events);
  const bench: Bench = {
    state,
    outbox: { waiting: [], events: bake.events, offsetMs: 0, reachable: true, refused: null },
    last: null,
    undo: () => undefined,
    tap: (...actions) => {
      const decided = decideAll(bake.sheet, state, actions, START_MS, libraryBook);
      if (!decided.ok) return decided.problem;
      state = decided.value.after;
      taps.push(...actions);
      return null;
    },
  };
  return { bench, taps };
}

/** A page outside every kitchen: how its reader wants to see things is all that is known. */
export const showAlone = (
  children: ReactNode,
  preferences: Partial<Preferences> = {},
  ways: Partial<KitchenWays> = {},
): RenderResult =>
  render(
    <PreferencesProvider
      initial={{ ...readPreferences(undefined), ...preferences }}
      ways={{ ...PLAIN_WAYS, timeZone: 'UTC', ...ways }}
    >
      {children}
    </PreferencesProvider>,
  );

export const show = (
  children: ReactNode,
  preferences: Partial<Preferences> = {},
  stored: readonly StoredEntry[] = [],
  ways: Partial<KitchenWays> = {},
): RenderResult =>
  showAlone(
    <BookProvider stored={stored} seed={[...wholeBook(stored).values()]}>
      <KitchenProvider address="test">
        <KitProvider stored={{ version: 0, kit: ORDINARY_KIT }}>{children}</KitProvider>
      </KitchenProvider>
    </BookProvider>,
    preferences,
    ways,
  );
