'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { BatchSheet } from '@/core/batch';
import { PRACTICE_FAULTS, type PracticeDay, type PracticeFault } from '@/core/practice/faults';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/practice/PracticePage';
import type { Rising } from '../bench/useRise';

const PracticeBench = dynamic(
  patiently(() => import('./PracticeBench').then((module) => module.PracticeBench)),
  { ssr: false },
);

interface PracticePageProps {
  readonly formulaId: string;
  readonly sheet: BatchSheet;
  readonly rising: Rising;
  readonly nowMs: number;
}

/** A bake to be practised: first what is to go wrong, then the bench. */
export function PracticePage({ formulaId, sheet, rising, nowMs }: PracticePageProps) {
  const [begun, setBegun] = useState<{ readonly day: PracticeDay; readonly count: number } | null>(null);
  const begin = (faults: readonly PracticeFault[]) =>
    setBegun((was) => ({
      day: { seed: crypto.getRandomValues(new Uint32Array(1))[0]!, faults },
      count: (was?.count ?? 0) + 1,
    }));
  if (!begun) return <Start name={sheet.name} onBegin={begin} />;
  return (
    <PracticeBench
      key={begun.count}
      formulaId={formulaId}
      sheet={sheet}
      rising={rising}
      nowMs={nowMs}
      day={begun.day}
      onAgain={() => setBegun(null)}
    />
  );
}

function Start({
  name,
  onBegin,
}: {
  name: string;
  onBegin: (faults: readonly PracticeFault[]) => void;
}) {
  const [faults, setFaults] = useState<readonly PracticeFault[]>([]);
  const turn = (fault: PracticeFault) =>
    setFaults((was) => (was.includes(fault) ? was.filter((each) => each !== fault) : [...was, fault]));
  const surprise = () => onBegin(PRACTICE_FAULTS.filter(() => crypto.getRandomValues(new Uint8Array(1))[0]! < 110));
  return (
    <div className="mx-auto max-w-2xl px-4 py-6">
      <h1 className="text-3xl">{words.title(name)}</h1>
      <p className="mt-2 text-lg">{words.what}</p>
      <fieldset className="docket mt-5 rounded-b-xl p-4" aria-labelledby="goes-wrong">
        <h2 id="goes-wrong" className="text-xl">{words.whatGoesWrong}</h2>
        {PRACTICE_FAULTS.map((fault) => (
          <label key={fault} className="flex min-h-12 items-center gap-3 text-lg">
            <input type="checkbox" className="size-6" checked={faults.includes(fault)} onChange={() => turn(fault)} />
            {words.fault[fault]}
          </label>
        ))}
      </fieldset>
      <div className="mt-5 grid gap-3 sm:grid-cols-2">
        <Button look="now" size="bench" data-primary onClick={() => onBegin(faults)}>{words.begin}</Button>
        <Button size="bench" onClick={surprise}>{words.surprise}</Button>
      </div>
    </div>
  );
} // prettier-ignore
