'use client';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/shell/ShortcutDialog';

const GROUPS = [
  {
    title: words.anywhere,
    keys: [
      [words.gThenT, 'Today'],
      [words.gThenF, 'Formulas'],
      [words.gThenI, 'Larder'],
      [words.gThenB, 'Bench'],
      [words.gThenL, 'Logbook'],
      [words.shiftD, words.dimTheLightAndBack],
      ['?', words.thisPage],
    ],
  },
  {
    title: words.onAFormula,
    keys: [
      [words.ctrlZ, 'Undo'],
      [words.ctrlShiftZ, 'Redo'],
      ['Alt ↑ / Alt ↓', words.moveTheLineOrStep],
      [words.spaceArrowsSpace, words.onAGripLiftCarry],
      ['Esc', words.giveACellItsOld],
    ],
  },
  {
    title: words.atTheBench,
    keys: [
      ['Enter', words.theBigButtonWeighedDone],
      ['n', words.noteSomething],
    ],
  },
] as const;

export function ShortcutDialog({ onClose }: { onClose: () => void }) {
  const { preferences, change } = usePreferences();
  return (
    <Dialog onClose={onClose} title={words.keys}>
      <label className="mb-4 flex min-h-9 items-center gap-3">
        <input
          type="checkbox"
          checked={preferences.shortcuts === 'on'}
          onChange={(event) => change({ shortcuts: event.currentTarget.checked ? 'on' : 'off' })}
          className="size-5 accent-(--ink)"
        />
        {words.singleKeysAreOn}
      </label>
      <div className="grid gap-5 sm:grid-cols-2">
        {GROUPS.map((group) => (
          <section key={group.title}>
            <h3 className="mb-1 text-base">{group.title}</h3>
            <dl className="text-sm">
              {group.keys.map(([keys, what]) => (
                <div key={keys} className="flex justify-between gap-4 border-t border-rule py-1.5">
                  <dt className="font-semibold">{keys}</dt>
                  <dd className="text-right text-soft">{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Dialog>
  );
}
