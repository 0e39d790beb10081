'use client';
import { useEffect, useState } from 'react';
import { compareFormulas, type Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { useKitchenTime } from '../preferences/time';
import { ask } from '../asking/ask';
import { Differences } from './Differences';

interface Revision {
  readonly number: number;
  readonly savedAtMs: number;
  readonly formula: Formula;
}

interface RevisionsDialogProps {
  formulaId: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onBringBack: (formula: Formula) => void;
}

/** Every saved state, newest first, with what it changed; any of them can be brought back on top. */
export function RevisionsDialog({ formulaId, open, onOpenChange, onBringBack }: RevisionsDialogProps) {
  const time = useKitchenTime();
  const [revisions, setRevisions] = useState<readonly Revision[] | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!open) return;
    let gone = false;
    void ask<Revision[]>(`/api/formulas/${formulaId}/revisions`).then((answer) => {
      if (gone) return;
      setFailed(answer.kind !== 'ok');
      if (answer.kind === 'ok') setRevisions(answer.value);
    });
    return () => {
      gone = true;
    };
  }, [formulaId, open]);

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Earlier states"
      hint="Each time the sheet was kept. None is ever lost."
    >
      {failed && (
        <p role="alert" className="text-alarm">
          The server did not answer. Close this and try again.
        </p>
      )}
      {!revisions && !failed && <p className="min-h-40 text-soft">Looking …</p>}
      <ol>
        {revisions?.map((revision, index) => {
          const before = revisions[index + 1];
          return (
            <li key={revision.number} className="border-t border-rule py-3">
              <div className="flex items-center justify-between gap-3">
                <p>
                  <strong>Revision {revision.number}</strong>{' '}
                  <span className="text-sm text-soft">{time.dayAndClock(revision.savedAtMs)}</span>
                </p>
                {index > 0 && (
                  <Button
                    onClick={() => {
                      onBringBack(revision.formula);
                      onOpenChange(false);
                    }}
                  >
                    Bring back
                  </Button>
                )}
              </div>
              {before ? (
                <Differences differences={compareFormulas(before.formula, revision.formula)} />
              ) : (
                <p className="text-sm text-soft">
                  {revision.number === 1 ? 'The first.' : 'Older ones are kept too.'}
                </p>
              )}
            </li>
          );
        })}
      </ol>
    </Dialog>
  );
}
