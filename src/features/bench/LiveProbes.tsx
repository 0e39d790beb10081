'use client';
import { Thermometer } from 'lucide-react';
import { useState } from 'react';
import { doneC, likelyReadings, readingAnswer, type Reading } from '@/core/bake';
import type { MethodStep } from '@/core/method';
import { cx } from '@/ui/cx';
import { READING_WORD } from '@/wording/readings';
import { words } from '@/wording/screens/bench/LiveProbes';
import { useInstruments, useProbes } from '../instruments/InstrumentsProvider';
import { useStoredKit } from '../kit/KitProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { ReadingMeaning, type Told } from './ReadingDialog';
import type { Bench } from './useBench';

interface LiveProbesProps {
  readonly step: MethodStep;
  readonly bench: Bench;
  /** By the bake's clock. */
  readonly nowMs: number;
  readonly isMixed: boolean;
}

/** What the thermometers that tell say of this step, each pressed to be saved; a core that is there says so. */
export function LiveProbes(props: LiveProbesProps) {
  const any = useInstruments().some(({ kind }) => kind !== 'scale');
  return any ? <Live {...props} /> : null;
}

function Live({ step, bench: { state, tap }, nowMs, isMixed }: LiveProbesProps) {
  const [told, setTold] = useState<{ readonly of: Reading['of']; readonly answer: Told } | null>(null);
  const units = useUnits();
  const { altitudeM } = useStoredKit().kit;
  const likely = likelyReadings(step);
  const shown = useProbes().filter(({ of }) => likely.includes(of));
  const core = shown.find(({ of }) => of === 'core');
  const targetC = doneC(step, altitudeM);
  const isThere = HEATED.has(step.kind) && core !== undefined && core.tempC >= targetC;
  if (shown.length === 0) return null;
  // what it means is said as of one that is typed
  const save = (of: Reading['of'], shownC: number) => {
    const tempC = Math.round(shownC * 10) / 10;
    if (tap({ type: 'reading', of, tempC, stepId: step.id })) return;
    const answer = readingAnswer({ of, tempC, stepId: step.id, atMs: nowMs }, step, state.readings, { altitudeM, isMixed });
    if (answer.kind !== 'fine') setTold({ of, answer });
  };
  return (
    <div className="mt-3 flex flex-wrap gap-2" data-testid="live-probes">
      <p role="status" className="sr-only">{isThere ? words.coreIsThere(units.temperature(targetC)) : ''}</p>
      {shown.map(({ id, of, tempC }) => (
        <button key={id} type="button" aria-label={words.save(READING_WORD[of], units.temperature(tempC))} onClick={() => save(of, tempC)}
          className={cx('flex min-h-14 items-baseline gap-2 rounded-lg border px-4 py-2 text-xl', of === 'core' && isThere ? 'border-2 border-good' : 'border-edge')}>
          <Thermometer size={20} aria-hidden className="self-center text-soft" />
          <span className="text-soft">{READING_WORD[of]}</span>
          <span className="figure text-4xl">{units.temperature(tempC)}</span>
          {of === 'core' && HEATED.has(step.kind) && <span className={isThere ? 'font-semibold text-good' : 'text-soft'}>{isThere ? words.isThere : words.of(units.temperature(targetC))}</span>}
        </button>
      ))}
      {told && <ReadingMeaning of={told.of} answer={told.answer} stepId={step.id} tap={tap} onClose={() => setTold(null)} />}
    </div>
  );
} // prettier-ignore

/** Where a core has something to reach. */
const HEATED: ReadonlySet<MethodStep['kind']> = new Set([
  'bake',
  'turn',
  'rotate',
  'fry',
  'griddle',
  'reheat',
]);
