'use client';
import { Hand } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { MethodStep } from '@/core/method';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { BAND_WORD } from '@/wording/bands';
import type { Bench } from './useBench';
import { words } from '@/wording/screens/bench/FeelButton';

export const loadFelt = () => import('./FeltDialog').then((module) => module.FeltDialog);
const FeltDialog = dynamic(patiently(loadFelt), { ssr: false });

/** Steps in which hands are in the dough, or it has just drunk. */
const FELT: ReadonlySet<MethodStep['kind']> = new Set(['mix', 'fold', 'rest', 'bulk', 'divide', 'shape']);

/** What the hand said of the dough in this step, and a chance to say it. */
export function FeelButton({ step, bench }: { step: MethodStep; bench: Bench }) {
  const [open, setOpen] = useState(false);
  if (!FELT.has(step.kind)) return null;
  const felt = bench.state.feelings.find(({ stepId }) => stepId === step.id)?.band ?? null;
  return (
    <div>
      <Button size="bench" className="w-full" onClick={() => setOpen(true)}>
        <Hand size={20} aria-hidden />
        {felt ? (
          <span>
            {words.feels}
            <strong>{BAND_WORD[felt].name.toLowerCase()}</strong>
          </span>
        ) : (
          words.howItFeels
        )}
      </Button>
      {open && <FeltDialog stepId={step.id} felt={felt} onClose={() => setOpen(false)} tap={bench.tap} />}
    </div>
  );
}
