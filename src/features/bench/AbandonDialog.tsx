'use client';
import { useState } from 'react';
import type { BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

interface AbandonDialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  tap: (action: BakeAction) => Problem | null;
}

/** Giving up is a result too: it goes into the logbook with its reason. */
export function AbandonDialog({ open, onOpenChange, tap }: AbandonDialogProps) {
  const { preferences } = usePreferences();
  const [why, setWhy] = useState('');
  const [reason, setReason] = useState<string | null>(null);
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Give this bake up?"
      hint="What was done so far stays in the logbook."
    >
      <textarea
        aria-label="Why"
        rows={3}
        maxLength={400}
        value={why}
        onChange={(event) => setWhy(event.currentTarget.value)}
        placeholder="What went wrong"
        className="w-full rounded-lg border border-edge bg-surface p-3 text-xl"
      />
      {reason && (
        <p role="alert" className="text-alarm">
          {reason}
        </p>
      )}
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <Button size="bench" onClick={() => onOpenChange(false)}>
          Go on baking
        </Button>
        <Button
          look="alarm"
          size="bench"
          onClick={() => {
            const problem = tap({ type: 'abandoned', reason: why.trim() });
            if (problem) setReason(wordProblem(problem, preferences));
            else onOpenChange(false);
          }}
        >
          Give it up
        </Button>
      </div>
    </Dialog>
  );
}
