'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { emptyFormula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';

/** Asks for a name and opens the sheet. */
export function NewFormula({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const router = useRouter();
  const [name, setName] = useState('');
  const [reason, setReason] = useState<string | null>(null);
  // made once per dialog: pressing twice, or again after a dead network, still makes one formula
  const [requestId] = useState(newUuid);
  const [busy, setBusy] = useState(false);
  const make = async () => {
    if (name.trim() === '') return setReason('Give it a name.');
    setBusy(true);
    const formula = emptyFormula(name.trim(), 'dough');
    const answer = await ask<{ id: string }>('/api/formulas', { requestId, formula });
    if (answer.kind === 'ok') return router.push(`/formulas/${answer.value.id}`);
    setBusy(false);
    setReason(
      answer.kind === 'invalid'
        ? 'This name can’t be saved. Use up to 80 ordinary letters.'
        : 'The server did not answer. Try again.',
    );
  };
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="A new formula"
      hint="Only a name for now; the sheet takes the rest."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <label htmlFor="new-name" className="text-sm font-semibold">
          Name
        </label>
        <input
          id="new-name"
          value={name}
          maxLength={80}
          autoComplete="off"
          aria-invalid={reason !== null}
          aria-describedby={reason ? 'new-name-why' : undefined}
          onChange={(event) => {
            setName(event.currentTarget.value);
            setReason(null);
          }}
          className="mt-1 w-full rounded-md border border-edge bg-surface px-3 py-2 text-lg"
        />
        {reason && (
          <p id="new-name-why" role="alert" className="mt-1 text-sm text-alarm">
            {reason}
          </p>
        )}
        <Button type="submit" look="strong" disabled={busy} className="mt-4 min-h-11 px-5">
          Open the sheet
        </Button>
      </form>
    </Dialog>
  );
}
