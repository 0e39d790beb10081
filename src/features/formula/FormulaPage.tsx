'use client';
import {
  Archive,
  ArchiveRestore,
  Copy,
  EllipsisVertical,
  FileOutput,
  History,
  Redo2,
  Scale,
  Undo2,
} from 'lucide-react';
import { useRouter } from 'next/navigation';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { STYLES } from '@/core/formula';
import { Button, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { loadMenu, Menu } from '@/ui/Menu';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { newUuid } from '@/ui/newUuid';
import { useAwake } from '@/ui/useAwake';
import { usePreferences } from '../preferences/PreferencesProvider';
import { ask } from '../asking/ask';
import { wordProblem } from '../wording/problems';
import { STYLE_WORD } from '../wording/words';
import { Answers } from './Answers';
import { AnswerStrip } from './AnswerStrip';
import { loadDoughTemperature } from './DoughTemperature';
import { loadIngredientSearch } from './IngredientPicker';
import { IngredientSheet } from './IngredientSheet';
import { loadQuantities } from '../quantities/readQuantity';
import { RunSection } from '../run/RunSection';
import { SaveStatus } from './SaveStatus';
import { loadToolDialog } from './tools/Tools';
import { SheetActionsProvider, useSheetState } from '../sheet/SheetContext';
import { useFormulaSheet, type FormulaSheet, type LoadedFormula } from './useFormulaSheet';

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

const STYLE_OPTIONS = STYLES.map((style) => ({ value: style, label: STYLE_WORD[style] }));

/** Undo must not fight with the text in a cell: the cell is left first, and found again afterwards. */
function leavingTheCell(deed: () => void): void {
  const cell = document.activeElement instanceof HTMLElement ? document.activeElement : null;
  cell?.blur();
  deed();
  requestAnimationFrame(() => cell?.isConnected && cell.focus());
}

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
  const router = useRouter();
  const { preferences } = usePreferences();
  const { store, edit, settle, takeBack, undo, redo } = sheet;
  const name = useSheetState((state) => state.formula.name);
  const style = useSheetState((state) => state.formula.style);
  const about = useSheetState((state) => state.formula.about);
  const canUndo = useSheetState((state) => state.history.past.length > 0);
  const canRedo = useSheetState((state) => state.history.future.length > 0);
  const [archived, setArchived] = useState(loaded.archivedAtMs !== null);
  const [writing, setWriting] = useState(false);
  const awake = useAwake();
  const [trouble, setTrouble] = useState<string | null>(null);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      // a dialog lies over the sheet: what is undone there is its own typing. Outside a field the browser would undo the last typing of
      // the whole page by itself, the sheet's behind the dialog.
      if (document.querySelector('[role="dialog"], [role="alertdialog"]')) {
        const field = event.target instanceof HTMLElement && event.target.closest('input, textarea');
        if (!field) event.preventDefault();
        return;
      }
      event.preventDefault();
      leavingTheCell(event.shiftKey ? redo : undo);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [redo, undo]);

  const copy = async (body: object) => {
    const answer = await ask<{ id: string }>('/api/formulas', { requestId: newUuid(), ...body });
    if (answer.kind === 'ok') router.push(`/formulas/${answer.value.id}`);
    else setTrouble('The copy could not be made. Nothing is lost; try again.');
  };
  const putAway = async (away: boolean) => {
    const answer = await ask(`/api/formulas/${loaded.id}/archive`, { archived: away });
    if (answer.kind === 'ok') setArchived(away);
    else setTrouble('That did not reach the server. Try again.');
  };
  const toStory = async () => {
    // what is on the sheet belongs into its story; what can't be saved is shown beside the name, and the story goes without it
    await sheet.saved();
    router.push(`/formulas/${loaded.id}/story`);
  };
  const toBatch = async () => {
    // the batch is planned from what is saved, so what is on the sheet has to be saved first
    if (await sheet.saved()) router.push(`/formulas/${loaded.id}/batch`);
    else
      setTrouble(
        'The sheet is not saved yet, so there is nothing to make a batch of. See what stands beside its name.',
      );
  };

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
            void copy({ formula: { ...mine, name: `${mine.name.slice(0, 72)} (mine)` } });
          }}
        />
      )}
      {sheet.broughtBack && sheet.save.kind !== 'conflict' && (
        <p role="status" className="mb-3 rounded border border-edge bg-sheet px-3 py-2 text-sm">
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
      <div className="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 className="sr-only">{name}</h1>
        <Cell
          label="Name of the formula"
          value={name}
          align="left"
          inputMode="text"
          className="-ml-1.5 min-w-64 flex-1"
          inputClassName="font-head text-2xl font-bold tracking-tight sm:text-3xl"
          onType={(typed) => {
            const problem = edit({ type: 'rename', name: typed }, 'name');
            return problem && wordProblem(problem, preferences);
          }}
          restore={() => takeBack('name')}
          onLeave={settle}
        />
        <Choice
          label="Style"
          value={style}
          options={STYLE_OPTIONS}
          onChange={(next) => edit({ type: 'setStyle', style: next })}
          className="w-auto text-sm text-soft"
        />
        <SaveStatus save={sheet.save} />
        <div className="flex items-center gap-0.5">
          <IconButton label="Undo (Ctrl Z)" disabled={!canUndo} onClick={undo}>
            <Undo2 size={18} aria-hidden />
          </IconButton>
          <IconButton label="Redo (Ctrl Shift Z)" disabled={!canRedo} onClick={redo}>
            <Redo2 size={18} aria-hidden />
          </IconButton>
          <Menu
            trigger={
              <IconButton label="More">
                <EllipsisVertical size={18} aria-hidden />
              </IconButton>
            }
            choices={[
              {
                key: 'story',
                words: (
                  <>
                    <History size={16} aria-hidden /> Its story
                  </>
                ),
                onSelect: () => void toStory(),
              },
              {
                key: 'write',
                words: (
                  <>
                    <FileOutput size={16} aria-hidden /> Write it out
                  </>
                ),
                onSelect: () => setWriting(true),
              },
              {
                key: 'copy',
                words: (
                  <>
                    <Copy size={16} aria-hidden /> Duplicate
                  </>
                ),
                onSelect: () => void copy({ copyOf: loaded.id }),
              },
              {
                key: 'archive',
                words: (
                  <>
                    {archived ? <ArchiveRestore size={16} aria-hidden /> : <Archive size={16} aria-hidden />}
                    {archived ? 'Bring back from the archive' : 'Put in the archive'}
                  </>
                ),
                onSelect: () => void putAway(!archived),
              },
            ]}
          />
        </div>
        <Button look="now" className="min-h-11 px-5 text-base" onClick={() => void toBatch()}>
          <Scale size={18} aria-hidden /> Make a batch
        </Button>
      </div>
      {archived && <p className="mb-3 text-sm text-soft">This formula is in the archive.</p>}
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <AnswerStrip />
        <div className="min-w-0">
          <section aria-label="What goes in" className="docket rounded-b-md px-2 pt-4 pb-3 sm:px-4">
            <IngredientSheet />
          </section>
          <MethodEditor />
          <RunSection formulaId={loaded.id} />
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
              className="mt-1 w-full rounded-md border border-rule bg-sheet p-3"
            />
          </section>
        </div>
        <div className="lg:sticky lg:top-18">
          <Answers />
        </div>
      </div>
      {writing && <ExportDialog onClose={() => setWriting(false)} />}
    </>
  );
}
