'use client';
import { FORMULA_LIMITS, eatenOf, missingG, partMassG, purposeOf, yieldOf } from '@/core/formula';
import { Cell } from '@/ui/Cell';
import { within } from '@/core/units';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/formula/PartFigures';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';

/** Of a part that is not the dough: how much of it the pieces take, what is left over; of a bath and of dusting what the bread keeps. */
export function PartFigures({ stageId }: { stageId: string }) {
  const stage = useSheetState((state) => state.formula.stages.find(({ id }) => id === stageId));
  const formula = useSheetState((state) => state.formula);
  const { edit, settle, takeBack } = useSheetActions();
  const units = useUnits();
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  if (!stage || purposeOf(stage) === 'dough') return null;
  const made = yieldOf(formula);
  const { pieces } = made;
  const { perPieceG, takenUp, keeps } = stage;
  const part = {
    ...(perPieceG != null && { perPieceG }),
    ...(takenUp && { takenUp }),
    ...(keeps && { keeps }),
  };
  const purpose = purposeOf(stage);
  if (purpose === 'bath' || purpose === 'dusting') {
    const { low, high } = eatenOf(stage, made);
    return (
      <p className="py-1 pl-1 text-sm text-soft" data-testid="part-figures">
        {words.keeps(
          numbers.decimal(100 * low, 1),
          numbers.decimal(100 * high, 1),
          units.massRange(low * partMassG(stage), high * partMassG(stage)),
        )}
        {!takenUp && <span className="italic"> {words.asUsual}</span>}
      </p>
    );
  }
  const { leftG } = eatenOf(stage, made);
  const shortG = missingG(stage, pieces);
  return (
    <div
      className="flex flex-wrap items-center gap-x-3 py-1 pl-1 text-sm text-soft"
      data-testid="part-figures"
    >
      <span className="flex items-center gap-1">
        {words.aPieceTakes}
        <Cell
          label={words.perPiece(stage.name)}
          value={perPieceG == null ? '' : units.massCell(perPieceG)}
          unit={units.massUnit}
          placeholder={words.itsShare}
          className="w-28"
          onType={(text) => {
            if (text.trim() === '') {
              const { perPieceG: _, ...rest } = part;
              edit({ type: 'setPart', stageId, part: rest }, `part:${stageId}`);
              return null;
            }
            const typed = units.parseMass(text);
            const checked = typed.ok ? within(typed.value, FORMULA_LIMITS.lineMassG, 'perPieceG') : typed;
            if (!checked.ok) return wordProblem(checked.problem, preferences);
            edit(
              { type: 'setPart', stageId, part: { ...part, perPieceG: checked.value } },
              `part:${stageId}`,
            );
            return null;
          }}
          restore={() => takeBack(`part:${stageId}`)}
          onLeave={settle}
        />
      </span>
      {leftG !== null && leftG >= 0.5 && <span>{words.left(units.mass(leftG), pieces)}</span>}
      {shortG >= 0.5 && <span className="text-alarm">{words.short(units.mass(shortG), pieces)}</span>}
    </div>
  );
}
