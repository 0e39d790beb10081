'use client';
import { useForm } from 'react-hook-form';
import type { BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/NoteDialog';

interface NoteDialogProps {
  onClose: () => void;
  tap: (action: BakeAction) => Problem | null;
}

/** Anything worth remembering, at its time. */
export function NoteDialog({ onClose, tap }: NoteDialogProps) {
  const { preferences } = usePreferences();
  const { register, handleSubmit, setError, reset, formState } = useForm({ defaultValues: { text: '' } });
  const { errors } = formState;
  const submit = handleSubmit(({ text }) => {
    const problem = tap({ type: 'noted', text: text.trim() });
    if (problem) return setError('text', { message: wordProblem(problem, preferences) });
    reset();
    onClose();
  });
  return (
    <Dialog onClose={onClose} title={words.noteThis} hint={words.itIsSavedWithThe}>
      <form onSubmit={(event) => void submit(event)} noValidate>
        <textarea
          {...register('text', { validate: (text) => text.trim() !== '' || words.writeAWordOrTwo })}
          autoFocus
          aria-label={words.note}
          aria-invalid={!!errors.text}
          rows={4}
          maxLength={1000}
          placeholder={words.stifferThanLastWeekSmells}
          className="w-full rounded-lg border border-edge bg-surface p-3 text-xl"
        />
        <Reason>{errors.text?.message}</Reason>
        <Button type="submit" look="strong" size="bench" className="mt-3 w-full">
          {words.saveTheNote}
        </Button>
      </form>
    </Dialog>
  );
}
