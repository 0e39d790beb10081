'use client';
import { ChartNoAxesColumnIncreasing, Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { isRising, type MethodStep } from '@/core/method';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { useKitchenTime } from '../preferences/time';
import { grownWord, RISE_OF_WORD } from '@/wording/rise';
import type { Bench } from './useBench';
import { words } from '@/wording/screens/bench/RiseMarks';

export const loadRise = () => import('./RiseDialog').then((module) => module.RiseDialog);
const RiseDialog = dynamic(patiently(loadRise), { ssr: false });

/** What was marked in this step, and a mark more. */
export function RiseMarks({ step, bench }: { step: MethodStep; bench: Bench }) {
  const time = useKitchenTime();
  const [open, setOpen] = useState(false);
  if (!isRising(step)) return null;
  const marks = bench.state.rises.filter(({ stepId }) => stepId === step.id);
  return (
    <div>
      <Button size="bench" className="w-full" onClick={() => setOpen(true)}>
        <ChartNoAxesColumnIncreasing size={20} aria-hidden />
        {words.markTheRise}
      </Button>
      {marks.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-x-4 text-lg" data-testid="rise-marks">
          {marks.map(({ atMs, grownPercent, of }) => (
            <span key={atMs}>
              <span className="text-soft">{time.clock(atMs)}</span> {RISE_OF_WORD[of]}{' '}
              <strong>{grownWord(grownPercent)}</strong>
            </span>
          ))}
          <Button
            look="quiet"
            className="min-h-12"
            onClick={() => bench.tap({ type: 'riseTakenBack', stepId: step.id })}
          >
            <Undo2 size={16} aria-hidden />
            {words.undoTheLastOne}
          </Button>
        </p>
      )}
      {open && (
        <RiseDialog
          stepId={step.id}
          usual={bench.state.rises.at(-1)?.of ?? 'jar'}
          onClose={() => setOpen(false)}
          tap={bench.tap}
        />
      )}
    </div>
  );
}
