'use client';
import { useDroppable } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { Plus, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { STAGE_KINDS, type Stage } from '@/core/formula';
import type { Ingredient } from '@/core/ingredients';
import { Button, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';
import { STAGE_WORD } from '../wording/words';
import { IngredientPicker } from './IngredientPicker';
import { LineRow } from './LineRow';
import { useSheetActions } from './SheetContext';

const KINDS = STAGE_KINDS.map((kind) => ({ value: kind, label: STAGE_WORD[kind] }));

interface StageBlockProps {
  stage: Stage;
  massG: number;
  percents: ReadonlyMap<string, number | null>;
  only: boolean;
  onAdd: (stageId: string, ingredient: Ingredient) => void;
  onMove: (lineId: string, by: -1 | 1) => void;
}

export const StageBlock = memo(function StageBlock({
  stage,
  massG,
  percents,
  only,
  onAdd,
  onMove,
}: StageBlockProps) {
  const { edit, settle } = useSheetActions();
  const units = useUnits();
  const { preferences } = usePreferences();
  const { setNodeRef } = useDroppable({ id: stage.id });
  return (
    <section aria-label={stage.name || STAGE_WORD[stage.kind]} className="mt-5 first:mt-0">
      <header className="flex flex-wrap items-center gap-x-2 pb-1">
        <Cell
          label="Name of this part"
          value={stage.name}
          align="left"
          inputMode="text"
          placeholder="Name this part"
          className="min-w-32 flex-1"
          inputClassName="font-head text-base font-semibold"
          onType={(name) => {
            const change = { type: 'setStage', stageId: stage.id, name, kind: stage.kind } as const;
            const problem = edit(change, `stage:${stage.id}`);
            return problem && wordProblem(problem, preferences);
          }}
          onLeave={settle}
        />
        <Choice
          label={`What kind of part ${stage.name} is`}
          value={stage.kind}
          options={KINDS}
          onChange={(kind) => edit({ type: 'setStage', stageId: stage.id, name: stage.name, kind })}
          className="w-auto text-sm text-soft"
        />
        <span className="ml-auto pr-1 text-sm text-soft">{units.mass(massG)}</span>
        {!only && (
          <IconButton
            label={`Take the part ${stage.name} out`}
            onClick={() => edit({ type: 'removeStage', stageId: stage.id })}
          >
            <Trash2 size={15} aria-hidden />
          </IconButton>
        )}
      </header>
      <SortableContext items={stage.lines.map((line) => line.id)} strategy={verticalListSortingStrategy}>
        <ul ref={setNodeRef} className="min-h-1 border-b border-rule">
          {stage.lines.map((line) => (
            <LineRow key={line.id} line={line} percent={percents.get(line.id) ?? null} onMove={onMove} />
          ))}
        </ul>
      </SortableContext>
      <IngredientPicker
        label={`Add to ${stage.name || STAGE_WORD[stage.kind]}`}
        onPick={(ingredient) => onAdd(stage.id, ingredient)}
        trigger={
          <Button look="quiet" className="mt-1 text-soft">
            <Plus size={16} aria-hidden /> Add to {stage.name || STAGE_WORD[stage.kind]}
          </Button>
        }
      />
    </section>
  );
});
