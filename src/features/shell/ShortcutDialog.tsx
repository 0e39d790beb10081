'use client';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { STATIONS } from './stations';
import { words } from '@/wording/screens/shell/ShortcutDialog';

const GROUPS: readonly {
  readonly title: string;
  readonly keys: readonly (readonly [keys: string, what: string])[];
}[] = [
  {
    title: words.anywhere,
    keys: [
      ...STATIONS.map(({ key, word }) => [words.gThen(key), word] as const),
      [words.gThen('d'), words.theDay],
      [words.shiftD, words.dimTheLightAndBack],
      [words.questionMark, words.thisPage],
    ],
  },
  {
    title: words.onAFormula,
    keys: [
      [words.ctrlZ, words.undo],
      [words.ctrlShiftZ, words.redo],
      [words.altArrows, words.moveTheLineOrStep],
      [words.spaceArrowsSpace, words.onAGripLiftCarry],
      [words.escape, words.restoreTheOldValue],
    ],
  },
  {
    title: words.atTheBench,
    keys: [
      [words.enter, words.theBigButtonWeighedDone],
      [words.n, words.noteSomething],
    ],
  },
];

export function ShortcutDialog({ onClose }: { onClose: () => void }) {
  const { preferences, change } = usePreferences();
  return (
    <Dialog onClose={onClose} title={words.keyboardShortcuts}>
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
