'use client';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { emptyFormula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { newUuid } from '@/ui/newUuid';
import { useKitchenRouter, useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { words } from '@/wording/screens/formula/NewFormula';

/** Asks for a name and opens the sheet. */
export function NewFormula({ onClose }: { onClose: () => void }) {
  const router = useKitchenRouter();
  const kitchen = useKitchen();
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { name: '' } });
  const { errors, isSubmitting } = formState;
  // made once per dialog: pressing twice, or again after a dead network, still makes one formula
  const [requestId] = useState(newUuid);
  const submit = handleSubmit(async ({ name }) => {
    const formula = emptyFormula(name.trim(), 'dough');
    const answer = await ask<{ id: string }>(kitchen.api('/formulas'), { requestId, formula });
    if (answer.kind === 'ok') return router.push(`/formulas/${answer.value.id}`);
    setError('name', {
      message: answer.kind === 'invalid' ? words.thisNameCantBeSaved : words.theServerDidNotAnswer,
    });
  });
  return (
    <Dialog onClose={onClose} title={words.aNewFormula} hint={words.onlyANameForNow}>
      <form onSubmit={(event) => void submit(event)} noValidate>
        <label htmlFor="new-name" className="text-sm font-semibold">
          {words.name}
        </label>
        <input
          {...register('name', { validate: (name) => name.trim() !== '' || words.giveItAName })}
          id="new-name"
          maxLength={80}
          autoComplete="off"
          aria-invalid={!!errors.name}
          aria-describedby={errors.name ? 'new-name-why' : undefined}
          className="mt-1 w-full rounded-md border border-edge bg-surface px-3 py-2 text-lg"
        />
        <Reason id="new-name-why">{errors.name?.message}</Reason>
        <Button type="submit" look="strong" disabled={isSubmitting} className="mt-4 min-h-11 px-5">
          {words.createIt}
        </Button>
      </form>
    </Dialog>
  );
}
