'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { TraceFit } from '@/core/heat';
import { readProbeTrace } from '@/core/kit';
import { bakeQuestionOf, type Run, type RunFeel, type RunForecast } from '@/core/run';
import type { Problem } from '@/core/result';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { client } from './useRunForecast';
import { words } from '@/wording/screens/run/useProbeFit';

export interface ProbeQuestion {
  readonly run: Run;
  readonly feel: RunFeel;
  readonly forecast: RunForecast;
  readonly ovenId: string;
}

const STALE = words.somebodyChangedTheEquipment;
const UNREACHED = words.thatDidNotReachThe;
const OTHER_OVEN = words.noOvenOfThisKind;

/** The fit of an oven to a probe's log: computed in a worker, and saved with the kit when the baker says so. */
export function useProbeFit({ run, feel, forecast, ovenId }: ProbeQuestion) {
  const router = useRouter();
  const kitchen = useKitchen();
  const { kit, version } = useStoredKit();
  const { preferences } = usePreferences();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [fitted, setFitted] = useState<TraceFit | null>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);

  const wordTrouble = (problem: Problem): string => {
    const line = /^line (\d+)$/.exec(problem.path)?.[1];
    return `${line ? words.line(line) : ''}${wordProblem(problem, preferences)}`;
  };
  const fit = async () => {
    setFitted(null);
    setDone(false);
    setTrouble(null);
    const trace = readProbeTrace(text);
    if (!trace.ok) return setTrouble(wordTrouble(trace.problem));
    const bake = bakeQuestionOf(run, forecast.rise, feel);
    if (!bake) return setTrouble(words.thereIsNoBakeIn);
    setBusy(true);
    try {
      const answer = await client().ask('fit', 'fit', { bake, trace: trace.value });
      if (answer?.ok) setFitted(answer.value);
      else if (answer)
        setTrouble(answer.problem.code === 'notSolvable' ? OTHER_OVEN : wordTrouble(answer.problem));
    } catch {
      setTrouble(words.theCalculationStoppedPress);
    }
    setBusy(false);
  };
  const use = async () => {
    if (!fitted) return;
    const withFit = (oven: (typeof kit.ovens)[number]) => ({
      ...oven,
      fitted: { ...fitted.oven, missC: fitted.missC, traces: (oven.fitted?.traces ?? 0) + 1 },
    });
    const ovens = kit.ovens.map((each) => (each.id === ovenId ? withFit(each) : each));
    setBusy(true);
    const answer = await ask(kitchen.api('/kit'), {
      requestId: newUuid(),
      seen: version,
      kit: { ...kit, ovens },
    });
    setBusy(false);
    if (answer.kind !== 'ok') return setTrouble(answer.kind === 'stale' ? STALE : UNREACHED);
    setDone(true);
    setFitted(null);
    setText('');
    router.refresh();
  };
  return { text, setText, trouble, setTrouble, fitted, busy, done, fit, use };
}
