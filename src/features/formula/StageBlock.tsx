'use client';
import { BookMarked, Plus, Trash2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { memo, useMemo, useState } from 'react';
import { purposeOf, STAGE_KINDS } from '@/core/formula';
import type { Ingredient } from '@/core/ingredients';
import { buttonClass, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { patiently } from '@/ui/patiently';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { STAGE_WORD } from '@/wording/words';
import { CarryList } from './carry/carry';
import { IngredientPicker } from './IngredientPicker';
import { LineRow } from './LineRow';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import type { SheetState } from '../sheet/sheetStore';
import { words } from '@/wording/screens/formula/StageBlock';

const PartFigures = dynamic(() => import('./PartFigures').then((module) => module.PartFigures));
const PartSource = dynamic(
  patiently(() => import('./PartSource').then((module) => module.PartSource)),
  { ssr: false },
);

const KINDS = STAGE_KINDS.map((kind) => ({ value: kind, label: STAGE_WORD[kind] }));

interface StageBlockProps {
  stageId: string;
  only: boolean;
  onAdd: (stageId: string, ingredient: Ingredient) => void;
  onMove: (lineId: string, by: -1 | 1) => void;
}

export const StageBlock = memo(function StageBlock({ stageId, only, onAdd, onMove }: StageBlockProps) {
  const find = (state: SheetState) => state.formula.stages.find((stage) => stage.id === stageId);
  const name = useSheetState((state) => find(state)?.name ?? '');
  const kind = useSheetState((state) => find(state)?.kind ?? 'main');
  const massG = useSheetState((state) => state.totals.stageG.get(stageId) ?? 0);
  const order = useSheetState((state) => (find(state)?.lines ?? []).map((line) => line.id).join(' '));
  const formulaId = useSheetState((state) => find(state)?.formulaId);
  const [choosing, setChoosing] = useState(false);
  const { edit, settle, takeBack } = useSheetActions();
  const units = useUnits();
  const { preferences } = usePreferences();
  // the same array while the order is the same: rows hear of a new list by drawing themselves again
  const ids = useMemo(() => order.split(' ').filter(Boolean), [order]);
  return (
    <section aria-label={name || STAGE_WORD[kind]} className="mt-5 first:mt-0">
      <header className="flex flex-wrap items-center gap-x-2 pb-1">
        <Cell
          label={words.nameOfThisPart}
          value={name}
          align="left"
          inputMode="text"
          placeholder={words.nameThisPart}
          className="min-w-24 flex-1"
          inputClassName="font-head text-base font-semibold"
          onType={(typed) => {
            const change = { type: 'setStage', stageId, name: typed, kind } as const;
            const problem = edit(change, `stage:${stageId}`);
            return problem && wordProblem(problem, preferences);
          }}
          restore={() => takeBack(`stage:${stageId}`)}
          onLeave={settle}
        />
        <Choice
          label={words.whatKindOfPartIs(name)}
          value={kind}
          options={KINDS}
          onChange={(next) => edit({ type: 'setStage', stageId, name, kind: next })}
          className="field-sizing-content w-auto text-sm text-soft"
        />
        <span className="ml-auto pr-1 text-sm text-soft">{units.mass(massG)}</span>
        {!only && (
          <IconButton label={words.madeByAFormula(name)} onClick={() => setChoosing(true)}>
            <BookMarked size={15} aria-hidden />
          </IconButton>
        )}
        {!only && (
          <IconButton
            label={words.removeThePart(name)}
            onClick={() => edit({ type: 'removeStage', stageId })}
          >
            <Trash2 size={15} aria-hidden />
          </IconButton>
        )}
      </header>
      <CarryList id={stageId} ids={ids} as="ul" className="min-h-1 border-b border-rule">
        {ids.map((id) => (
          <LineRow key={id} lineId={id} onMove={onMove} />
        ))}
      </CarryList>
      {purposeOf({ kind }) !== 'dough' && <PartFigures stageId={stageId} />}
      {(choosing || formulaId) && (
        <PartSource stageId={stageId} choosing={choosing} onChosen={() => setChoosing(false)} />
      )}
      <IngredientPicker
        label={words.addTo(name || STAGE_WORD[kind])}
        onPick={(ingredient) => onAdd(stageId, ingredient)}
        className={buttonClass('quiet', 'table', 'mt-1 text-soft')}
      >
        <Plus size={16} aria-hidden />
        {words.addTo(name || STAGE_WORD[kind])}
      </IngredientPicker>
    </section>
  );
});
