'use client';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { loadMenu } from '@/ui/Menu';
import { useAwake } from '@/ui/useAwake';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { loadQuantities } from '../quantities/readQuantity';
import { RunSection } from '../run/RunSection';
import { SheetActionsProvider, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { Answers } from './Answers';
import { AnswerStrip } from './AnswerStrip';
import { loadDoughTemperature } from './DoughTemperature';
import { loadIngredientSearch } from './IngredientPicker';
import { SheetLines } from './SheetLines';
import { SheetHead } from './SheetHead';
import { loadToolDialog } from './tools/Tools';
import { useFormulaActions } from './useFormulaActions';
import { useFormulaSheet, type FormulaSheet, type LoadedFormula } from './useFormulaSheet';
import { useUndoKeys } from './useUndoKeys';

// drawn by the server, so that it is there to be read; its code follows after the sheet's own
const MethodEditor = dynamic(() => import('./MethodEditor').then((module) => module.MethodEditor));
const ConflictBanner = dynamic(() => import('./ConflictBanner').then((module) => module.ConflictBanner), {
  ssr: false,
});
const ExportDialog = dynamic(() => import('./ExportDialog').then((module) => module.ExportDialog), {
  ssr: false,
});

// typing goes on when the server is gone
const NEEDED_OFFLINE = [loadMenu, loadIngredientSearch, loadQuantities, loadToolDialog, loadDoughTemperature];

/** The sheet of one formula: what goes in on the left, what it makes on the right, the method beneath. */
export function FormulaPage({ loaded }: { loaded: LoadedFormula }) {
  const sheet = useFormulaSheet(loaded);
  useFetchedEarly(NEEDED_OFFLINE);
  const { store, edit, settle, takeBack } = sheet;
  const actions = useMemo(() => ({ store, edit, settle, takeBack }), [store, edit, settle, takeBack]);
  return (
    <SheetActionsProvider value={actions}>
      <SheetView loaded={loaded} sheet={sheet} />
    </SheetActionsProvider>
  );
}

function SheetView({ loaded, sheet }: { loaded: LoadedFormula; sheet: FormulaSheet }) {
  useUndoKeys(sheet);
  const actions = useFormulaActions(loaded, sheet);
  const { archived } = actions;
  const [writing, setWriting] = useState(false);
  return (
    <>
      <SheetNotes loaded={loaded} sheet={sheet} trouble={actions.trouble} onCopy={actions.copy} />
      <SheetHead
        sheet={sheet}
        archived={archived}
        does={{
          story: () => void actions.toStory(),
          batch: () => void actions.toBatch(),
          write: () => setWriting(true),
          copy: () => void actions.copy({ copyOf: loaded.id }),
          archive: () => void actions.archive(!archived),
        }}
      />
      {archived && <p className="mb-3 text-sm text-soft">This formula is in the archive.</p>}
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <AnswerStrip />
        <div className="min-w-0">
          <section aria-label="What goes in" className="docket rounded-b-md px-2 pt-4 pb-3 sm:px-4">
            <SheetLines />
          </section>
          <MethodEditor />
          <RunSection formulaId={loaded.id} />
          <About />
        </div>
        <div className="lg:sticky lg:top-18">
          <Answers />
        </div>
      </div>
      {writing && <ExportDialog onClose={() => setWriting(false)} />}
    </>
  );
}

interface SheetNotesProps {
  loaded: LoadedFormula;
  sheet: FormulaSheet;
  trouble: string | null;
  onCopy: (body: object) => Promise<void>;
}

/** What has to be known before anything else on the sheet. */
function SheetNotes({ loaded, sheet, trouble, onCopy }: SheetNotesProps) {
  const { store } = sheet;
  return (
    <>
      {sheet.save.kind === 'conflict' && (
        <ConflictBanner
          formulaId={loaded.id}
          conflict={sheet.save}
          onMineOnTop={sheet.saveOnTop}
          onTheirs={() => void sheet.takeTheirs()}
          onCopy={() => {
            const mine = store.state.formula;
            void onCopy({ formula: { ...mine, name: `${mine.name.slice(0, 72)} (mine)` } });
          }}
        />
      )}
      {sheet.broughtBack && sheet.save.kind !== 'conflict' && (
        <p role="status" className="mb-3 rounded border border-edge bg-surface px-3 py-2 text-sm">
          What had not been saved when this page was last closed is back on the sheet. Undo takes it away
          again.
        </p>
      )}
      {trouble && sheet.save.kind !== 'conflict' && (
        <p
          role="alert"
          className="mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm"
        >
          {trouble}
        </p>
      )}
    </>
  );
}

function About() {
  const { edit, settle } = useSheetActions();
  const about = useSheetState((state) => state.formula.about);
  const awake = useAwake();
  return (
    <section aria-labelledby="about-title" className="mt-6">
      <h2 id="about-title" className="text-base">
        About it
      </h2>
      <textarea
        aria-labelledby="about-title"
        readOnly={!awake}
        rows={3}
        maxLength={4000}
        value={about}
        placeholder="What it is for, who asked for it, what to watch."
        onChange={(event) => edit({ type: 'setAbout', about: event.currentTarget.value }, 'about')}
        onBlur={settle}
        className="mt-1 w-full rounded-md border border-rule bg-surface p-3"
      />
    </section>
  );
}
