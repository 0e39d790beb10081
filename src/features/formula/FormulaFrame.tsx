'use client';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { loadMenu } from '@/ui/Menu';
import { cx } from '@/ui/cx';
import { OnPaper } from '@/ui/OnPaper';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { RunStore } from '../sheet/runStore';
import { SheetActionsProvider } from '../sheet/SheetContext';
import { AnswerCard } from './AnswerCard';
import { SheetHead } from './SheetHead';
import { useFormulaActions } from './useFormulaActions';
import { useFormulaSheet, type FormulaSheet, type LoadedFormula } from './useFormulaSheet';
import { useUndoKeys } from './useUndoKeys';
import { words } from '@/wording/screens/formula/FormulaFrame';
import { patiently } from '@/ui/patiently';

const ConflictBanner = dynamic(
  patiently(() => import('./ConflictBanner').then((module) => module.ConflictBanner)),
  { ssr: false },
);
const ExportDialog = dynamic(
  patiently(() => import('./ExportDialog').then((module) => module.ExportDialog)),
  { ssr: false },
);
/** Whoever prints the page gets a page for the wall. */
const loadPaper = () => import('./FormulaPaper').then((module) => module.FormulaPaper);
const RunEngine = dynamic(
  patiently(() => import('../run/RunEngine').then((module) => module.RunEngine)),
  { ssr: false },
);

// typing goes on when the server is gone
const NEEDED_OFFLINE = [loadMenu];

/** The frame of one formula: its name, its places, and beside them what it makes, in view wherever one is. */
export function FormulaFrame({ loaded, children }: { loaded: LoadedFormula; children: ReactNode }) {
  const sheet = useFormulaSheet(loaded);
  useFetchedEarly(NEEDED_OFFLINE);
  const [runs] = useState(() => new RunStore());
  const { store, edit, settle, takeBack } = sheet;
  const actions = useMemo(
    () => ({ store, edit, settle, takeBack, runs, formulaId: loaded.id }),
    [store, edit, settle, takeBack, runs, loaded.id],
  );
  return (
    <SheetActionsProvider value={actions}>
      <SheetView loaded={loaded} sheet={sheet}>
        {children}
      </SheetView>
      <RunEngine formulaId={loaded.id} />
    </SheetActionsProvider>
  );
}

interface SheetViewProps {
  loaded: LoadedFormula;
  sheet: FormulaSheet;
  children: ReactNode;
}

function SheetView({ loaded, sheet, children }: SheetViewProps) {
  useUndoKeys(sheet);
  const actions = useFormulaActions(loaded, sheet);
  const { archived } = actions;
  const [writing, setWriting] = useState(false);
  return (
    <>
      <OnPaper load={loadPaper} />
      <div className="no-print">
        <SheetNotes loaded={loaded} sheet={sheet} trouble={actions.trouble} onCopy={actions.copy} />
        <SheetHead
          sheet={sheet}
          archived={archived}
          does={{
            story: () => void actions.toStory(),
            batch: () => void actions.toBatch(),
            readyAt: () => void actions.toDay(),
            practise: () => void actions.toPractice(),
            write: () => setWriting(true),
            copy: () => void actions.copy({ copyOf: loaded.id }),
            archive: () => void actions.archive(!archived),
          }}
        />
        {archived && <p className="mb-3 text-sm text-soft">{words.thisFormulaIsInThe}</p>}
        <Places formulaId={loaded.id} />
        <div className="grid items-start gap-x-5 gap-y-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
          <AnswerCard formulaId={loaded.id} />
          <div className="min-w-0">{children}</div>
        </div>
        {writing && <ExportDialog onClose={() => setWriting(false)} />}
      </div>
    </>
  );
}

const PLACES = [
  { path: '', word: words.formula },
  { path: '/method', word: words.method },
  { path: '/timeline', word: words.timeline },
  { path: '/notes', word: words.notes },
] as const;

/** The places of a formula, each with an address of its own. */
function Places({ formulaId }: { formulaId: string }) {
  const here = usePathname();
  return (
    <nav
      aria-label={words.placesOfThisFormula}
      className="mb-3 flex gap-1 overflow-x-auto border-b border-edge"
    >
      {PLACES.map(({ path, word }) => {
        const href = `/formulas/${formulaId}${path}`;
        const current = here.endsWith(href);
        return (
          <KitchenLink
            key={path}
            href={href}
            aria-current={current ? 'page' : undefined}
            className={cx(
              '-mb-px flex min-h-10 items-center border-b-4 px-3 font-semibold',
              current ? 'border-ink text-ink' : 'border-transparent text-soft hover:text-ink',
            )}
          >
            {word}
          </KitchenLink>
        );
      })}
    </nav>
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
            void onCopy({ formula: { ...mine, name: words.mine(mine.name.slice(0, 72)) } });
          }}
        />
      )}
      {sheet.broughtBack && sheet.save.kind !== 'conflict' && (
        <p role="status" className="mb-3 rounded border border-edge bg-surface px-3 py-2 text-sm">
          {words.whatHadNotBeenSaved}
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
