'use client';
import type { BakeAction, Outcome, BakeRecord } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Dialog } from '@/ui/Dialog';
import { OutcomeForm } from '../outcome/OutcomeForm';

interface CorrectionDialogProps {
  bake: BakeRecord;
  outcome: Outcome;
  tap: (action: BakeAction) => Problem | null;
  onClose: () => void;
}

/** The log form once more, with what it says now; the correction is one more event. */
export function CorrectionDialog({ bake, outcome, tap, onClose }: CorrectionDialogProps) {
  return (
    <Dialog wide onClose={onClose} title="Correct the log" hint="What stood there before is saved beside it.">
      <OutcomeForm
        start={outcome}
        planned={{ pieces: bake.sheet.pieces.count, massG: bake.sheet.usableDoughG }}
        deed="Correct it"
        onOutcome={(next) => {
          if (!tap({ type: 'outcomeCorrected', outcome: next })) onClose();
        }}
      />
    </Dialog>
  );
}
