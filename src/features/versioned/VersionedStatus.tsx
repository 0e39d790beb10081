'use client';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/versioned';
import type { VersionedSave } from './useVersioned';

/** Whether what was changed is saved; where somebody else was before, how to go on. */
export function VersionedStatus({ save, testId }: { save: VersionedSave; testId: string }) {
  const well = save === 'saved' || save === 'saving';
  return (
    <p
      role={well ? 'status' : 'alert'}
      data-testid={testId}
      className={well ? 'min-w-16 text-sm text-soft' : 'text-sm font-semibold text-alarm'}
    >
      {words[save]}{' '}
      {save === 'stale' && (
        <Button look="quiet" onClick={() => window.location.reload()}>
          {words.loadAgain}
        </Button>
      )}
    </p>
  );
}
