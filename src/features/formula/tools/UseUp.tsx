'use client';
import { useState } from 'react';
import { useUp as scaleToWhatThereIs } from '@/core/adjust';
import { FORMULA_LIMITS, massByIngredient } from '@/core/formula';
import { isFlourBase, type IngredientBook } from '@/core/ingredients';
import { within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { useBook, useNameOf } from '../../book/BookProvider';
import { usePreferences, useUnits } from '../../preferences/PreferencesProvider';
import { quantitiesComing } from '../../quantities/readQuantity';
import { useQuantity } from '../../quantities/useQuantity';
import { wordProblem } from '@/wording/problems';
import { useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { Proposed } from './Proposed';
import { useStoredKit } from '../../kit/KitProvider';
import { words } from '@/wording/screens/formula/tools/UseUp';

/** What there is a bag's rest of is most often the flour there is most of. */
function mostOf(masses: ReadonlyMap<string, number>, book: IngredientBook): string {
  const byMass = [...masses].sort(([, a], [, b]) => b - a).map(([id]) => id);
  const isBase = (id: string) => {
    const ingredient = book.get(id);
    return ingredient !== undefined && isFlourBase(ingredient);
  };
  return byMass.find(isBase) ?? byMass[0] ?? '';
}

export function UseUp({ onDone }: { onDone: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  const readMass = useQuantity(useStoredKit().kit.measures);
  const { preferences } = usePreferences();
  const masses = massByIngredient(formula);
  const [id, setId] = useState(() => mostOf(masses, book));
  const [haveG, setHaveG] = useState(() => masses.get(id) ?? 100);
  return (
    <>
      <Asked
        word={words.of}
        value={id}
        options={[...masses.keys()].map((each) => ({ value: each, label: nameOf(each) }))}
        onChange={(next) => {
          setId(next);
          setHaveG(masses.get(next) ?? 100);
        }}
      />
      <p className="mt-2 text-sm font-semibold">{words.iHave}</p>
      <Cell
        size="bench"
        label={words.howMuchThereIs}
        unit={units.massUnit}
        value={units.massCell(haveG)}
        onType={(text) => {
          const typed = readMass(text, book.get(id) ?? null);
          const massG = typed.ok ? within(typed.value, FORMULA_LIMITS.lineMassG, 'massG') : typed;
          if (!massG.ok) return wordProblem(massG.problem, preferences);
          setHaveG(massG.value);
          return null;
        }}
        restore={() => setHaveG(haveG)}
        later={quantitiesComing}
      />
      <Proposed proposed={scaleToWhatThereIs(formula, id, haveG, book)} onDone={onDone} />
    </>
  );
}
