'use client';
import { useParams } from 'next/navigation';
import { useAwake } from '@/ui/useAwake';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import { words } from '@/wording/screens/formula/NotesPlace';

/** What is written about a formula, and the ways to what happened to it. */
export function NotesPlace() {
  const { id } = useParams<{ id: string }>();
  return (
    <div className="docket rounded-b-md px-4 pt-4 pb-4">
      <About />
      <ul className="mt-4 flex flex-wrap gap-x-6 gap-y-1 border-t border-rule pt-3">
        <li>
          <KitchenLink href={`/formulas/${id}/story`} className="inline-block min-h-8 text-link underline">
            {words.itsHistoryVersionByVersion}
          </KitchenLink>
        </li>
        <li>
          <KitchenLink href={`/logbook?formula=${id}`} className="inline-block min-h-8 text-link underline">
            {words.whatWasBakedOfIt}
          </KitchenLink>
        </li>
      </ul>
    </div>
  );
}

function About() {
  const { edit, settle } = useSheetActions();
  const about = useSheetState((state) => state.formula.about);
  const awake = useAwake();
  return (
    <section aria-labelledby="about-title">
      <h2 id="about-title" className="text-lg">
        {words.aboutIt}
      </h2>
      <textarea
        aria-labelledby="about-title"
        readOnly={!awake}
        rows={8}
        maxLength={4000}
        value={about}
        placeholder={words.whatItIsForWho}
        onChange={(event) => edit({ type: 'setAbout', about: event.currentTarget.value }, 'about')}
        onBlur={settle}
        className="mt-1 w-full rounded-md border border-rule bg-surface p-3"
      />
    </section>
  );
}
