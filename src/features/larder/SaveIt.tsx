'use client';
import { Button } from '@/ui/Button';
import type { EntryForm } from './useEntryForm';
import { words } from '@/wording/screens/larder/SaveIt';

/** The end of each dialog of the larder: why it could not be saved, and the button that tries (again). */
export function SaveIt({
  form: { saving, submit },
  missing,
}: {
  form: Pick<EntryForm<never>, 'saving' | 'submit'>;
  /** What still stands in the way, in words; null: nothing. */
  missing: string | null;
}) {
  return (
    <>
      {saving.trouble && (
        <p role="alert" className="mt-3 text-sm text-alarm">
          {saving.trouble}
        </p>
      )}
      <Button
        look="strong"
        className="mt-4 min-h-11 px-6"
        disabled={saving.busy || missing !== null}
        onClick={submit}
      >
        {words.saveIt}
      </Button>
      {missing && <span className="ml-3 text-sm text-soft">{missing}</span>}
    </>
  );
}
