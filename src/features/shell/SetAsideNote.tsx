import { FileWarning } from 'lucide-react';
import type { SetAside } from '@/core/documents';
import { words } from '@/wording/screens/shell/SetAsideNote';

const WORD: Readonly<Record<string, string>> = {
  formula: 'formula',
  bakePlan: 'bake',
  bakeAction: words.entryOfALog,
  kit: words.versionOfTheEquipment,
  kitchenEntry: 'ingredient',
  kitchenDetails: words.kitchensNameAndTimeZone,
};

/** What cannot be shown because it cannot be read: said where it would stand, and everything else is shown all the same. */
export function SetAsideNote({ setAside }: { setAside: readonly SetAside[] }) {
  if (setAside.length === 0) return null;
  return (
    <aside
      role="note"
      className="mb-4 flex gap-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm"
    >
      <FileWarning size={18} aria-hidden className="mt-0.5 shrink-0 text-alarm" />
      <div>
        <p className="font-semibold text-alarm">
          {words.cannotBeReadByThis(
            setAside.length === 1 ? words.oneThingHere : words.thingsHere(setAside.length),
          )}
        </p>
        <ul className="mt-1">
          {setAside.map(({ kind, id, name, version, newer }) => (
            <li key={`${kind} ${id}`}>
              {WORD[kind] ?? kind} {name ? `“${name}”` : <code className="text-xs">{id}</code>}:{' '}
              {newer ? words.writtenByANewerVersion(version) : words.itsDataAreDamaged}
            </li>
          ))}
        </ul>
      </div>
    </aside>
  );
}
