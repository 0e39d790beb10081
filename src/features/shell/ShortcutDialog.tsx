'use client';
import { Dialog } from '@/ui/Dialog';

const GROUPS = [
  {
    title: 'Anywhere',
    keys: [
      ['g then t', 'Today'],
      ['g then f', 'Formulas'],
      ['g then i', 'Larder'],
      ['g then b', 'Bench'],
      ['g then l', 'Logbook'],
      ['Shift D', 'Dim the light, and back'],
      ['?', 'This page'],
    ],
  },
  {
    title: 'On a formula',
    keys: [
      ['Ctrl Z', 'Undo'],
      ['Ctrl Shift Z', 'Redo'],
      ['Alt ↑ / Alt ↓', 'Move the line or step you are in'],
      ['Space, arrows, Space', 'On a grip: lift, carry, set down'],
      ['Esc', 'Give a cell its old value back'],
    ],
  },
  {
    title: 'At the bench',
    keys: [
      ['Enter', 'The big button: weighed, done, start the timer'],
      ['n', 'Note something'],
    ],
  },
] as const;

export function ShortcutDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog onClose={onClose} title="Keys">
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
