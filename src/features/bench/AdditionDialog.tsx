'use client';
import { useState } from 'react';
import type { BakeAction } from '@/core/bake';
import { FORMULA_LIMITS } from '@/core/formula';
import type { Ingredient } from '@/core/ingredients';
import type { Problem } from '@/core/result';
import { within } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { useBook } from '../book/BookProvider';
import { IngredientPicker } from '../formula/IngredientPicker';
import { quantitiesComing } from '../quantities/readQuantity';
import { useQuantity } from '../quantities/useQuantity';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

interface AdditionDialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  tap: (action: BakeAction) => Problem | null;
}

const USUAL = ['water', 'white-rice-flour', 'tapioca-starch'];

/** "It was too wet, so I put some flour in": the spoonful that nobody writes down, written down. */
export function AdditionDialog({ open, onOpenChange, tap }: AdditionDialogProps) {
  const book = useBook();
  const units = useUnits();
  const readMass = useQuantity();
  const { preferences } = usePreferences();
  const [ingredient, setIngredient] = useState<Ingredient | null>(null);
  const [massG, setMassG] = useState<number | null>(null);
  const [why, setWhy] = useState('');
  const [reason, setReason] = useState<string | null>(null);
  const keep = () => {
    if (!ingredient || massG === null) return setReason('Say what went in, and how much.');
    const problem = tap({ type: 'added', ingredientId: ingredient.id, massG, note: why.trim() });
    if (problem) return setReason(wordProblem(problem, preferences));
    onOpenChange(false);
  };
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Something extra went in"
      hint="It counts in this bake’s hydration and stays in its log."
    >
      <div className="flex flex-wrap gap-2">
        {USUAL.map((id) => book.get(id)).map(
          (usual) =>
            usual && (
              <Button
                key={usual.id}
                size="bench"
                look={ingredient?.id === usual.id ? 'strong' : 'plain'}
                aria-pressed={ingredient?.id === usual.id}
                onClick={() => setIngredient(usual)}
              >
                {usual.name}
              </Button>
            ),
        )}
        <IngredientPicker
          label="Another ingredient"
          onPick={setIngredient}
          className={buttonClass(ingredient && !USUAL.includes(ingredient.id) ? 'strong' : 'plain', 'bench')}
        >
          {ingredient && !USUAL.includes(ingredient.id) ? ingredient.name : 'Another …'}
        </IngredientPicker>
      </div>
      <p className="mt-4 font-semibold">How much</p>
      <Cell
        size="bench"
        label="Weight of what went in"
        testId="extra-mass"
        unit={units.massUnit}
        value={massG === null ? '' : units.massNumber(massG)}
        onType={(text) => {
          const typed = readMass(text, ingredient);
          const value = typed.ok ? within(typed.value, FORMULA_LIMITS.lineMassG, 'massG') : typed;
          setMassG(value.ok ? value.value : null);
          return value.ok ? null : wordProblem(value.problem, preferences);
        }}
        later={quantitiesComing}
      />
      <p className="mt-4 font-semibold">Why</p>
      <Cell
        size="bench"
        label="Why it went in"
        align="left"
        inputMode="text"
        maxLength={160}
        value={why}
        placeholder="too wet by feel"
        onType={(text) => {
          setWhy(text);
          return null;
        }}
      />
      {reason && (
        <p role="alert" className="mt-2 text-alarm">
          {reason}
        </p>
      )}
      <Button look="strong" size="bench" className="mt-4 w-full" onClick={keep}>
        Write it down
      </Button>
    </Dialog>
  );
}
