'use client';
import type { Formula } from '@/core/formula';
import { assumedIn } from '@/core/run';
import { formatDuration } from '@/core/units';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/run/TakenFor';
import { useUnits } from '../preferences/PreferencesProvider';

interface TakenForProps {
  steps: Formula['steps'];
  nameOf: (stepId: string) => string;
  chosen: string | null;
  onChoose: (stepId: string) => void;
}

/** What the method leaves open and the models took as is usual, step by step: a tap brings the step to hand. */
export function TakenFor({ steps, nameOf, chosen, onChoose }: TakenForProps) {
  const units = useUnits();
  const assumed = assumedIn({ steps });
  if (assumed.length === 0) return null;
  return (
    <div className="mt-3 text-sm" data-testid="taken-for">
      <p className="text-soft">{words.theMethodDoesNotSay}</p>
      <ul className="flex flex-wrap gap-1.5 pt-1">
        {assumed.map(({ stepId, takenS, takenC, inRoom }) => (
          <li key={stepId}>
            <button
              type="button"
              aria-pressed={chosen === stepId}
              onClick={() => onChoose(stepId)}
              className={cx(
                'min-h-9 rounded border border-edge px-2 text-left',
                chosen === stepId && 'bg-well',
              )}
            >
              {nameOf(stepId)}:{' '}
              <span className="italic">
                {[
                  takenS !== null && words.time(formatDuration(takenS)),
                  takenC !== null && words.heat(units.temperature(takenC)),
                  inRoom && words.inTheRoom,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
