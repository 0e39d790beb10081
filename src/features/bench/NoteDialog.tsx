'use client';
import { useState } from 'react';
import type { BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

interface NoteDialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  tap: (action: BakeAction) => Problem | null;
}

/** Anything worth remembering, at its time. */
export function NoteDialog({ open, onOpenChange, tap }: NoteDialogProps) {
  const { preferences } = usePreferences();
  const [text, setText] = useState('');
  const [reason, setReason] = useState<string | null>(null);
  const keep = () => {
    if (text.trim() === '') return setReason('Write a word or two.');
    const problem = tap({ type: 'noted', text: text.trim() });
    if (problem) return setReason(wordProblem(problem, preferences));
    setText('');
    onOpenChange(false);
  };
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Note this"
      hint="It is saved with the time it is now."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <textarea
          autoFocus
          aria-label="Note"
          aria-invalid={reason !== null}
          rows={4}
          maxLength={1000}
          value={text}
          onChange={(event) => {
            setText(event.currentTarget.value);
            setReason(null);
          }}
          placeholder="Stiffer than last week. Smells of apples. Oven at 172 by the thermometer."
          className="w-full rounded-lg border border-edge bg-surface p-3 text-xl"
        />
        {reason && (
          <p role="alert" className="text-alarm">
            {reason}
          </p>
        )}
        <Button type="submit" look="strong" size="bench" className="mt-3 w-full">
          Keep the note
        </Button>
      </form>
    </Dialog>
  );
}
