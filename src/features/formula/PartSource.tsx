'use client';
import { useEffect, useRef, useState } from 'react';
import { partMassG, type Formula } from '@/core/formula';
import { isAsItsFormula, linesOf, partAsFormula } from '@/core/formula/partOf';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/formula/PartSource';
import { ask } from '../asking/ask';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { newLocalId, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { PartDialog } from './PartDialog';
import type { LoadedFormula } from './useFormulaSheet';

/** The formula a part is made by, as it is saved now: undefined while it is on its way, null where there is none any more. */
function useSource(formulaId: string | undefined): Formula | null | undefined {
  const kitchen = useKitchen();
  const [found, setFound] = useState<{ of: string; formula: Formula | null } | null>(null);
  useEffect(() => {
    if (!formulaId) return undefined;
    let left = false;
    void ask<LoadedFormula>(kitchen.api(`/formulas/${formulaId}`)).then((answer) => {
      if (left) return;
      if (answer.kind === 'ok') setFound({ of: formulaId, formula: answer.value.formula });
      else if (answer.kind !== 'unreachable') setFound({ of: formulaId, formula: null });
    });
    return () => {
      left = true;
    };
  }, [formulaId, kitchen]);
  return found?.of === formulaId ? found?.formula : undefined;
}

interface PartSourceProps {
  stageId: string;
  choosing: boolean;
  onChosen: () => void;
}

/** A part may be made by a formula of its own: taken from one, made into one, taken anew when that changes, or let go. */
export function PartSource({ stageId, choosing, onChosen }: PartSourceProps) {
  const formula = useSheetState((state) => state.formula);
  const stage = formula.stages.find(({ id }) => id === stageId);
  const { edit, settle } = useSheetActions();
  const { preferences } = usePreferences();
  const kitchen = useKitchen();
  const source = useSource(stage?.formulaId);
  const [trouble, setTrouble] = useState<string | null>(null);
  const wish = useRef<{ what: string; requestId: string } | null>(null);
  if (!stage) return null;
  const { formulaId, lines: before } = stage;
  const fill = (by: string | null, lines: typeof before): void => {
    const problem = edit({ type: 'fillPart', stageId, formulaId: by, lines });
    settle();
    setTrouble(problem && wordProblem(problem, preferences));
    onChosen();
  };
  const take = (by: string, from: Formula): void => {
    const lines = linesOf(from, partMassG(stage) || null, before, newLocalId);
    if (lines.length > 0) return fill(by, lines);
    setTrouble(words.nothingInIt);
    return onChosen();
  };
  const makeOwn = async () => {
    const own = partAsFormula(formula, stageId);
    if (!own) setTrouble(words.couldNotBeMade);
    else {
      // pressed again after a lost answer it is the same wish, unless the part changed
      const what = JSON.stringify(own);
      if (wish.current?.what !== what) wish.current = { what, requestId: newUuid() };
      const { requestId } = wish.current;
      const answer = await ask<{ id: string }>(kitchen.api('/formulas'), { requestId, formula: own });
      if (answer.kind === 'ok') return fill(answer.value.id, before);
      setTrouble(words.theServerDidNotAnswer);
    }
    return onChosen();
  };
  return (
    <div className="flex flex-wrap items-center gap-x-2 pl-1 text-sm text-soft" data-testid="part-source">
      {formulaId && (
        <>
          <span>
            {words.madeBy}{' '}
            {source === null ? (
              words.gone
            ) : (
              <KitchenLink href={`/formulas/${formulaId}`} prefetch={false} className="text-link underline">
                {source?.name ?? words.itsFormula}
              </KitchenLink>
            )}
          </span>
          {source && !isAsItsFormula(stage, source) && (
            <>
              <strong>{words.changed}</strong>
              <Button className="min-h-8" onClick={() => take(formulaId, source)}>
                {words.takeAnew}
              </Button>
            </>
          )}
          <Button look="quiet" className="min-h-8" onClick={() => fill(null, [])}>
            {words.letGo}
          </Button>
        </>
      )}
      {trouble && (
        <p role="alert" className="w-full text-alarm">
          {trouble}
        </p>
      )}
      {choosing && (
        <PartDialog
          part={stage.name}
          onClose={onChosen}
          onTake={take}
          {...(before.length > 0 && !formulaId && { onMake: makeOwn })}
        />
      )}
    </div>
  );
}
