'use client';
import { Plus } from 'lucide-react';
import { memo, useCallback, useEffect, useMemo, useRef } from 'react';
import { firstMassG, type Formula } from '@/core/formula';
import type { Ingredient } from '@/core/ingredients';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { MEASURE_WORD } from '@/wording/words';
import { CarryArea } from './carry/carry';
import { newLocalId, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { StageBlock } from './StageBlock';
import { words } from '@/wording/screens/formula/SheetLines';

interface Place {
  stageId: string;
  index: number;
}

function placeOf(formula: Formula, id: string): Place | null {
  for (const stage of formula.stages) {
    if (stage.id === id) return { stageId: id, index: stage.lines.length };
    const index = stage.lines.findIndex((line) => line.id === id);
    if (index >= 0) return { stageId: stage.id, index };
  }
  return null;
}

/** One step up or down, over the edge of a part into the next one; null at either end of the sheet. */
function neighbour(formula: Formula, lineId: string, by: -1 | 1): Place | null {
  const place = placeOf(formula, lineId);
  const at = formula.stages.findIndex((stage) => stage.id === place?.stageId);
  const here = formula.stages[at];
  if (!place || !here) return null;
  const index = place.index + by;
  if (index >= 0 && index < here.lines.length) return { stageId: here.id, index };
  const next = formula.stages[at + by];
  return next ? { stageId: next.id, index: by < 0 ? next.lines.length : 0 } : null;
}

// not from the core's list: that would bring its reader of quantities into the first load
const MEASURES = ['metric', 'us', 'imperial'] as const;

/** A line just added waits for its weight: the caret is put there. */
function useCaretInNewLine(order: string) {
  const focusNext = useRef<string | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!focusNext.current) return;
    const cell = frame.current?.querySelector<HTMLInputElement>(
      `[data-line="${focusNext.current}"] [data-testid="mass"]`,
    );
    if (cell) {
      focusNext.current = null;
      cell.focus();
    }
  }, [order]);
  const focusOn = useCallback((lineId: string) => {
    focusNext.current = lineId;
  }, []);
  return { frame, focusOn };
}

/** The left side of the sheet: what goes in, part by part. */
export const SheetLines = memo(function SheetLines() {
  const { edit, store } = useSheetActions();
  // the whole order as one word: this draws again when something comes, goes or moves, not when a number changes
  const order = useSheetState((state) =>
    state.formula.stages
      .map((stage) => [stage.id, ...stage.lines.map((line) => line.id)].join(' '))
      .join('|'),
  );
  const stageIds = useMemo(() => order.split('|').map((stage) => stage.split(' ')[0] ?? ''), [order]);
  const { frame, focusOn } = useCaretInNewLine(order);

  const nameOf = useCallback(
    (id: string) => {
      const { stages } = store.state.formula;
      const line = stages.flatMap((stage) => stage.lines).find((each) => each.id === id);
      if (line) return store.book.get(line.ingredientId)?.name ?? line.ingredientId;
      return stages.find((stage) => stage.id === id)?.name ?? words.thatPart;
    },
    [store],
  );
  const onDrop = (lineId: string, overId: string) => {
    const to = placeOf(store.state.formula, overId);
    if (to) edit({ type: 'moveLine', lineId, toStageId: to.stageId, toIndex: to.index });
  };
  const onAdd = useCallback(
    (stageId: string, ingredient: Ingredient) => {
      const line = {
        id: newLocalId(),
        ingredientId: ingredient.id,
        massG: firstMassG(ingredient, store.state.totals),
        note: '',
      };
      focusOn(line.id);
      edit({ type: 'addLine', stageId, line });
    },
    [edit, focusOn, store],
  );
  const onMove = useCallback(
    (lineId: string, by: -1 | 1) => {
      const to = neighbour(store.state.formula, lineId, by);
      if (to) edit({ type: 'moveLine', lineId, toStageId: to.stageId, toIndex: to.index });
    },
    [edit, store],
  );

  return (
    <div ref={frame}>
      <CarryArea nameOf={nameOf} onDrop={onDrop}>
        {stageIds.map((stageId) => (
          <StageBlock
            key={stageId}
            stageId={stageId}
            only={stageIds.length === 1}
            onAdd={onAdd}
            onMove={onMove}
          />
        ))}
      </CarryArea>
      <SheetFoot />
    </div>
  );
});

function SheetFoot() {
  const { edit } = useSheetActions();
  return (
    <div className="mt-4 flex flex-wrap items-center justify-between gap-2 border-t-2 border-ink pt-2">
      <Button
        look="quiet"
        className="text-soft"
        onClick={() =>
          edit({
            type: 'addStage',
            stage: { id: newLocalId(), kind: 'late', name: words.anotherPart, lines: [] },
          })
        }
      >
        <Plus size={16} aria-hidden />
        {words.addAPart}
      </Button>
      <CupChoice />
      <span className="pr-2 text-sm text-soft">
        {words.total}
        <Total />
      </span>
    </div>
  );
}

/** Whose cups and eggs a cell means: it only matters to who types them, so it stands quietly at the foot of the sheet. */
function CupChoice() {
  const { preferences, change } = usePreferences();
  return (
    <Choice
      label={words.cupSpoonAndEggSizes}
      title={words.youCanAlsoType}
      value={preferences.measure}
      options={MEASURES.map((measure) => ({ value: measure, label: MEASURE_WORD[measure].label }))}
      onChange={(measure) => change({ measure })}
      className="ml-auto w-auto text-xs text-soft"
    />
  );
}

function Total() {
  const units = useUnits();
  const totalG = useSheetState((state) => state.totals.totalG);
  return <strong className="pl-1 text-base text-ink">{units.mass(totalG)}</strong>;
}
