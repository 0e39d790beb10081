'use client';
import { Thermometer } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { MethodStep } from '@/core/method';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { READING_WORD } from '@/wording/readings';
import { words } from '@/wording/screens/bench/Readings';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import type { Bench } from './useBench';

export const loadReading = () => import('./ReadingDialog').then((module) => module.ReadingDialog);
const ReadingDialog = dynamic(patiently(loadReading), { ssr: false });

interface ReadingsProps {
  readonly step: MethodStep;
  readonly bench: Bench;
  readonly nowMs: number;
  readonly isMixed: boolean;
}

/** What a thermometer said in this step, and one reading more. */
export function Readings({ step, bench, nowMs, isMixed }: ReadingsProps) {
  const time = useKitchenTime();
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const read = bench.state.readings.filter(({ stepId }) => stepId === step.id).slice(-3);
  return (
    <div>
      <Button size="bench" className="w-full" onClick={() => setOpen(true)}>
        <Thermometer size={20} aria-hidden />
        {words.thermometer}
      </Button>
      {read.length > 0 && (
        <p className="mt-1 text-soft" data-testid="readings">
          {read
            .map(({ of, tempC, atMs }) => words.one(READING_WORD[of], units.temperature(tempC), time.clock(atMs)))
            .join(', ')}
        </p>
      )}
      {open && <ReadingDialog step={step} bench={bench} nowMs={nowMs} isMixed={isMixed} onClose={() => setOpen(false)} />}
    </div>
  );
} // prettier-ignore
