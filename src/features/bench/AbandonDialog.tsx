'use client';
import { useForm } from 'react-hook-form';
import type { BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/AbandonDialog';

interface AbandonDialogProps {
  onClose: () => void;
  tap: (action: BakeAction) => Problem | null;
}

/** Giving up is a result too: it goes into the logbook with its reason. */
export function AbandonDialog({ onClose, tap }: AbandonDialogProps) {
  const { preferences } = usePreferences();
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { why: '' } });
  const submit = handleSubmit(({ why }) => {
    const problem = tap({ type: 'abandoned', reason: why.trim() });
    if (problem) return setError('why', { message: wordProblem(problem, preferences) });
    onClose();
  });
  return (
    <Dialog onClose={onClose} title={words.abandonThisBake} hint={words.whatWasDoneSoFar}>
      <form onSubmit={(event) => void submit(event)} noValidate>
        <textarea
          {...register('why')}
          aria-label={words.why}
          rows={3}
          maxLength={400}
          placeholder={words.whatWentWrong}
          className="w-full rounded-lg border border-edge bg-surface p-3 text-xl"
        />
        <Reason>{formState.errors.why?.message}</Reason>
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <Button size="bench" onClick={() => onClose()}>
            {words.keepBaking}
          </Button>
          <Button type="submit" look="alarm" size="bench">
            {words.abandonIt}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
