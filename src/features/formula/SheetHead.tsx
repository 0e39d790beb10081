'use client';
import { CalendarClock, EllipsisVertical, Redo2, Scale, Undo2 } from 'lucide-react';
import { STYLES } from '@/core/formula';
import { Button, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { Menu } from '@/ui/Menu';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useSheetState } from '../sheet/SheetContext';
import { wordProblem } from '@/wording/problems';
import { STYLE_WORD } from '@/wording/words';
import { SaveStatus } from './SaveStatus';
import type { FormulaSheet } from './useFormulaSheet';
import { words } from '@/wording/screens/formula/SheetHead';

const STYLE_OPTIONS = STYLES.map((style) => ({ value: style, label: STYLE_WORD[style] }));

interface SheetHeadProps {
  sheet: FormulaSheet;
  archived: boolean;
  /** What a formula as a whole can be asked for. */
  does: Readonly<
    Record<'story' | 'batch' | 'readyAt' | 'practise' | 'write' | 'copy' | 'archive', () => void>
  >;
}

const choice = (key: string, word: string, onSelect: () => void) => ({ key, words: word, onSelect });

/** Name, style and state of a formula, and what can be done with all of it. */
export function SheetHead({ sheet, archived, does }: SheetHeadProps) {
  const { preferences } = usePreferences();
  const { edit, settle, takeBack, undo, redo } = sheet;
  const name = useSheetState((state) => state.formula.name);
  const style = useSheetState((state) => state.formula.style);
  const canUndo = useSheetState((state) => state.history.past.length > 0);
  const canRedo = useSheetState((state) => state.history.future.length > 0);
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
      <h1 className="sr-only">{name}</h1>
      <Cell
        label={words.nameOfTheFormula}
        value={name}
        align="left"
        inputMode="text"
        className="-ml-1.5 min-w-full flex-1 sm:min-w-64"
        grows
        inputClassName="font-head text-2xl font-bold tracking-tight sm:text-3xl"
        onType={(typed) => {
          const problem = edit({ type: 'rename', name: typed }, 'name');
          return problem && wordProblem(problem, preferences);
        }}
        restore={() => takeBack('name')}
        onLeave={settle}
      />
      <Choice
        label={words.style}
        value={style}
        options={STYLE_OPTIONS}
        onChange={(next) => edit({ type: 'setStyle', style: next })}
        className="field-sizing-content w-auto text-sm text-soft"
      />
      <SaveStatus save={sheet.save} />
      <div className="flex items-center gap-0.5">
        <IconButton label={words.undoCtrlZ} disabled={!canUndo} onClick={undo}>
          <Undo2 size={18} aria-hidden />
        </IconButton>
        <IconButton label={words.redoCtrlShiftZ} disabled={!canRedo} onClick={redo}>
          <Redo2 size={18} aria-hidden />
        </IconButton>
        <Menu
          trigger={
            <IconButton label={words.more}>
              <EllipsisVertical size={18} aria-hidden />
            </IconButton>
          }
          choices={[
            choice('story', words.history, does.story),
            choice('practise', words.practise, does.practise),
            choice('write', words.export, does.write),
            choice('copy', words.duplicate, does.copy),
            archived
              ? choice('archive', words.restoreFromTheArchive, does.archive)
              : choice('archive', words.archiveIt, does.archive),
          ]}
        />
      </div>
      <Button className="min-h-11 px-4 text-base" onClick={does.readyAt}>
        <CalendarClock size={18} aria-hidden />
        {words.readyAt}
      </Button>
      <Button look="now" className="min-h-11 px-5 text-base" onClick={does.batch}>
        <Scale size={18} aria-hidden />
        {words.makeABatch}
      </Button>
    </div>
  );
}
