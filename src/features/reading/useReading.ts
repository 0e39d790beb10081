'use client';
import { useEffect, useState } from 'react';
import type { LineRole } from '@/core/recipe';
import { makeReadingWorker } from '@/workers/makeReadingWorker';
import { readingClient, type Reading } from '@/workers/readingClient';
import { useStoredEntries } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences } from '../preferences/PreferencesProvider';

export type ReadingState = Reading | { readonly kind: 'reading' };

/** What a text is understood as, found out beside the page. What was read before stays until the newer is read. */
export function useReading(
  text: string,
  declared: ReadonlyMap<number, LineRole>,
): { reading: ReadingState; of: string; cancel: () => void } {
  const { stored } = useStoredEntries();
  const { measure } = usePreferences().preferences;
  const own = useStoredKit().kit.measures;
  const [client] = useState(() => readingClient(makeReadingWorker));
  const [state, setState] = useState<{ reading: ReadingState; of: string }>({
    reading: { kind: 'reading' },
    of: text,
  });
  useEffect(() => {
    let gone = false;
    void client.ask({ text, stored, system: measure, declared: [...declared], own }).then((reading) => {
      if (!gone) setState({ reading, of: text });
    });
    return () => {
      gone = true;
    };
  }, [client, stored, measure, text, declared, own]);
  useEffect(() => () => client.cancel(), [client]);
  return {
    ...state,
    cancel: () => {
      client.cancel();
      setState({ reading: { kind: 'left' }, of: text });
    },
  };
}
