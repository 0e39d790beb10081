'use client';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/who';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { NameChoice } from './NameChoice';
import type { Bench } from './useBench';
import { whoStore } from './whoStore';

interface HandOverDialogProps {
  readonly tap: Bench['tap'];
  readonly seen: readonly string[];
  readonly onClose: () => void;
}

/** To whom the bake goes, and what is to be known of it. */
export function HandOverDialog({ tap, seen, onClose }: HandOverDialogProps) {
  const { preferences } = usePreferences();
  const [{ who }] = useDevice(whoStore(useKitchen().address));
  const [to, setTo] = useState('');
  const [toKnow, setToKnow] = useState('');
  const [reason, setReason] = useState('');
  const handOver = () => {
    if (to === '') return setReason(words.toWhom);
    const problem = tap({ type: 'handedOver', to, words: toKnow.trim() });
    if (problem) return setReason(wordProblem(problem, preferences));
    onClose();
  };
  return (
    <Dialog onClose={onClose} title={words.handOver} hint={words.handOverHint}>
      <NameChoice chosen={to} except={who} seen={seen} onChoose={setTo} />
      <textarea
        value={toKnow}
        onChange={(event) => setToKnow(event.target.value)}
        aria-label={words.whatToKnow}
        placeholder={words.example}
        rows={2}
        maxLength={400}
        className="mt-3 w-full rounded-lg border border-edge bg-surface p-3 text-lg"
      />
      <Reason>{reason}</Reason>
      <Button look="strong" size="bench" className="mt-3 w-full" onClick={handOver}>
        {to === '' ? words.handOver : words.handTo(to)}
      </Button>
    </Dialog>
  );
}
