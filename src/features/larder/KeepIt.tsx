'use client';
import { Button } from '@/ui/Button';

/** The end of each dialog of the larder: why it could not be kept, and the button that tries (again). */
export function KeepIt({
  trouble,
  busy,
  missing,
  onKeep,
}: {
  trouble: string | null;
  busy: boolean;
  /** What is still to be said before it can be kept, in words; null: nothing. */
  missing: string | null;
  onKeep: () => void;
}) {
  return (
    <>
      {trouble && (
        <p role="alert" className="mt-3 text-sm text-alarm">
          {trouble}
        </p>
      )}
      <Button
        look="strong"
        className="mt-4 min-h-11 px-6"
        disabled={busy || missing !== null}
        onClick={onKeep}
      >
        Keep it
      </Button>
      {missing && <span className="ml-3 text-sm text-soft">{missing}</span>}
    </>
  );
}
