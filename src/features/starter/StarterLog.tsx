'use client';
import type { StarterEvent } from '@/core/starter/starterDocument';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/starter/starters';
import { useKitchenTime } from '../preferences/time';
import { useUnits } from '../preferences/PreferencesProvider';
import { eventWords } from './starterWords';

/** So much of a log is shown. */
const SHOWN = 40;

/** What happened to a starter, the newest first; what was told by mistake is taken back. */
export function StarterLog({
  log,
  onTakeBack,
}: {
  log: readonly StarterEvent[];
  onTakeBack: (eventId: string) => void;
}) {
  const time = useKitchenTime();
  const units = useUnits();
  if (log.length === 0) return null;
  return (
    <details className="mt-2 border-t border-rule pt-1">
      <summary className="min-h-7 text-sm">{words.log}</summary>
      <ol className="text-sm">
        {log
          .toReversed()
          .slice(0, SHOWN)
          .map((event) => (
            <li key={event.id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
              <span className="tabular-nums">{time.dayAndClock(event.atMs)}</span>
              <span className="mr-auto">{eventWords(event, units.mass)}</span>
              <Button look="quiet" onClick={() => onTakeBack(event.id)}>
                {words.takeBack}
              </Button>
            </li>
          ))}
      </ol>
    </details>
  );
}
