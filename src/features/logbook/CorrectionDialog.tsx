'use client';
import type { BakeAction, Outcome, BakeRecord } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Dialog } from '@/ui/Dialog';
import { OutcomeForm } from '../outcome/OutcomeForm';
import { words } from '@/wording/screens/logbook/CorrectionDialog';

interface CorrectionDialogProps {
  bake: BakeRecord;
  outcome: Outcome;
  tap: (action: BakeAction) => Problem | null;
  onClose: () => void;
}

/** The log form once more, with what it says now; the correction is one more event. */
export function CorrectionDialog({ bake, outcome, tap, onClose }: CorrectionDialogProps) {
  return (
    <Dialog wide onClose={onClose} title={words.correctTheLog} hint={words.whatStoodThereBeforeIs}>
      <OutcomeForm
        start={outcome}
        planned={{ pieces: bake.sheet.pieces.count, massG: bake.sheet.usableDoughG }}
        deed={words.correctIt}
        onOutcome={(next) => {
          if (!tap({ type: 'outcomeCorrected', outcome: next })) onClose();
        }}
      />
    </Dialog>
  );
}
