'use client';
import { Check, CloudOff, CircleAlert, Loader } from 'lucide-react';
import { never } from '@/core/result';
import { useAwake } from '@/ui/useAwake';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import type { SaveState } from '../queue/saver';
import { words } from '@/wording/screens/formula/SaveStatus';

/** One short line: is what I see saved? Read out politely when it changes to something that matters. */
export function SaveStatus({ save }: { save: SaveState }) {
  const time = useKitchenTime();
  const { preferences } = usePreferences();
  const awake = useAwake();
  const parts = ((): { icon: typeof Check; text: string; alarm?: boolean } => {
    switch (save.kind) {
      case 'saved':
        return {
          icon: Check,
          text:
            save.savedAtMs > 0
              ? words.savedVersion(time.clock(save.savedAtMs), save.revision)
              : words.version(save.revision),
        };
      case 'waiting':
      case 'saving':
        return { icon: Loader, text: words.saving };
      case 'unreachable':
        return {
          icon: CloudOff,
          text: save.full ? words.theDiskIsFullSaved : words.noAnswerSavedInThis,
          alarm: true,
        };
      case 'held': {
        const first = save.problems[0];
        return {
          icon: CircleAlert,
          text: words.notSavedYet(first ? wordProblem(first, preferences) : ''),
          alarm: true,
        };
      }
      case 'refused':
        return {
          icon: CircleAlert,
          text: words.notSavedTheServerDid,
          alarm: true,
        };
      case 'conflict':
        return { icon: CircleAlert, text: words.notSavedSeeAbove, alarm: true };
      default:
        return never(save);
    }
  })();
  const Icon = parts.icon;
  // as wide as what it mostly says: the name beside it does not break anew at each saving, and nothing below moves
  return (
    <span
      role="status"
      data-testid="save-status"
      data-state={awake ? save.kind : 'opening'}
      className={
        parts.alarm
          ? 'flex items-center gap-1.5 text-sm font-semibold text-alarm sm:min-w-52'
          : 'flex items-center gap-1.5 text-sm text-soft sm:min-w-52'
      }
    >
      <Icon size={15} aria-hidden className="shrink-0" />
      {parts.text}
    </span>
  );
}
