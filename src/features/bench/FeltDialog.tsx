'use client';
import { useState } from 'react';
import type { BakeAction } from '@/core/bake';
import { BANDS, type Band } from '@/core/consistency';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { BAND_WORD } from '@/wording/bands';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/FeltDialog';

interface FeltDialogProps {
  stepId: string;
  felt: Band | null;
  onClose: () => void;
  tap: (action: BakeAction) => Problem | null;
}

/** How the dough feels by now, one knuckle: what the larder's figures of drinking learn from. */
export function FeltDialog({ stepId, felt, onClose, tap }: FeltDialogProps) {
  const { preferences } = usePreferences();
  const [reason, setReason] = useState<string | null>(null);
  const keep = (band: Band) => {
    const problem = band === felt ? null : tap({ type: 'felt', stepId, band });
    if (problem) return setReason(wordProblem(problem, preferences));
    onClose();
  };
  return (
    <Dialog onClose={onClose} title={words.howDoesItFeel} hint={words.yourHandIsRight}>
      {reason && (
        <p role="alert" className="mb-2 text-alarm">
          {reason}
        </p>
      )}
      <div className="grid gap-2">
        {BANDS.map((band) => (
          <Button
            key={band}
            size="bench"
            look={band === felt ? 'strong' : 'plain'}
            aria-pressed={band === felt}
            className="flex-col items-start gap-0 text-left"
            onClick={() => keep(band)}
          >
            {BAND_WORD[band].name}
            <span className="text-sm font-normal">{BAND_WORD[band].like}</span>
          </Button>
        ))}
      </div>
    </Dialog>
  );
}
