import { FileWarning } from 'lucide-react';
import type { SetAside } from '@/core/documents';

const WORD: Readonly<Record<string, string>> = {
  formula: 'formula',
  bakePlan: 'bake',
  bakeAction: 'entry of a log',
  kit: 'version of the kit',
  kitchenEntry: 'ingredient',
  kitchenDetails: 'kitchen’s name and time zone',
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
          {setAside.length === 1 ? 'One thing here' : `${setAside.length} things here`} cannot be read by this
          version of Honest Crumb. Nothing of it is lost: it stays in the database as it is.
        </p>
        <ul className="mt-1">
          {setAside.map(({ kind, id, name, version, newer }) => (
            <li key={`${kind} ${id}`}>
              {WORD[kind] ?? kind} {name ? `“${name}”` : <code className="text-xs">{id}</code>}:{' '}
              {newer ? `written by a newer version (shape ${version})` : 'its data are damaged'}
            </li>
          ))}
        </ul>
      </div>
    </aside>
  );
}
