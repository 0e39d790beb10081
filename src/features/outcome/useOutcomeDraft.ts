'use client';
import { useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Outcome } from '@/core/bake';
import {
  massCell,
  parseMassG,
  parseTemperatureC,
  temperatureNumber,
  type MassUnit,
  type TemperatureUnit,
} from '@/core/units';
import type { Preferences } from '../preferences/preferences';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { browserQueue } from '../queue/browserQueue';
import type { OutcomeText } from './readOutcome';
import { words } from '@/wording/screens/outcome/useOutcomeDraft';

type Units = ReturnType<typeof useUnits>;
export function textOf(outcome: Outcome, units: Units): OutcomeText {
  const mass = (massG: number | null) => (massG === null ? '' : units.massCell(massG));
  return {
    pieces: outcome.pieces === null ? '' : String(outcome.pieces),
    massBeforeG: mass(outcome.massBeforeG),
    massAfterG: mass(outcome.massAfterG),
    coreTempC: outcome.coreTempC === null ? '' : units.temperatureNumber(outcome.coreTempC),
    scores: outcome.scores,
    again: outcome.again,
    words: outcome.words,
  };
}

/** A half-written log as it waits in the browser: the text as typed, and the units it was typed in. */
interface OutcomeDraft {
  readonly text: Partial<OutcomeText>;
  readonly massUnit?: MassUnit;
  readonly temperatureUnit?: TemperatureUnit;
}

/** The text in the reader's present units: 450 typed as grams is not 450 ounces after a switch. What is no number stays as it is. */
function inUnits({ text, massUnit, temperatureUnit }: OutcomeDraft, now: Preferences): Partial<OutcomeText> {
  const mass = (typed = '') => {
    const read = massUnit && massUnit !== now.massUnit ? parseMassG(typed, massUnit) : null;
    return read?.ok ? massCell(read.value, now.massUnit) : typed;
  };
  const degrees = (typed = '') => {
    const changed = temperatureUnit && temperatureUnit !== now.temperatureUnit;
    const read = changed ? parseTemperatureC(typed, temperatureUnit) : null;
    return read?.ok ? temperatureNumber(read.value, now.temperatureUnit, 1) : typed;
  };
  return {
    ...text,
    massBeforeG: mass(text.massBeforeG),
    massAfterG: mass(text.massAfterG),
    coreTempC: degrees(text.coreTempC),
  };
}

/**
 * Keeps a half-written log in the browser under `draftKey` and brings it back; without a key it only follows the units.
 * @returns what forgets the draft once the log is closed
 */
export function useOutcomeDraft(
  form: UseFormReturn<OutcomeText>,
  start: Outcome,
  draftKey: string | undefined,
): () => void {
  const { reset, watch } = form;
  const units = useUnits();
  const { preferences } = usePreferences();
  const [queue] = useState(browserQueue);
  useEffect(() => {
    if (!draftKey) return;
    let gone = false;
    void queue.open().then(() => {
      const draft = queue.lane(draftKey).at(-1)?.body as OutcomeDraft | undefined;
      // what was typed before the storage answered is newer
      if (gone || !draft?.text || form.formState.isDirty) return;
      reset({ ...textOf(start, units), ...inUnits(draft, preferences) }, { keepDefaultValues: true });
    });
    return () => {
      gone = true;
    };
    // once, when the form appears
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draftKey]);
  const { massUnit, temperatureUnit } = preferences;
  useEffect(() => {
    if (!draftKey) return;

    const watching = watch((text) => {
      const body = { text, massUnit, temperatureUnit };
      void queue.put({ id: draftKey, lane: draftKey, what: words.aHalfWrittenLog, body });
    });
    return () => watching.unsubscribe();
  }, [draftKey, massUnit, queue, temperatureUnit, watch]);
  // a switch of units while it is being written: the numbers go with it
  const written = useRef({ massUnit, temperatureUnit });
  useEffect(() => {
    const before = written.current;
    if (before.massUnit === massUnit && before.temperatureUnit === temperatureUnit) return;
    written.current = { massUnit, temperatureUnit };
    const text = form.getValues();
    reset({ ...text, ...inUnits({ text, ...before }, preferences) }, { keepDefaultValues: true });
  }, [form, massUnit, preferences, reset, temperatureUnit]);
  return () => {
    if (draftKey) void queue.remove([draftKey]);
  };
}
