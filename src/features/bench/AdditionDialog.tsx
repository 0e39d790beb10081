'use client';
import { Controller, useForm, useWatch } from 'react-hook-form';
import type { BakeAction } from '@/core/bake';
import { FORMULA_LIMITS, type Formula } from '@/core/formula';
import type { Ingredient } from '@/core/ingredients';
import type { Problem } from '@/core/result';
import { within } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { useBook } from '../book/BookProvider';
import { EaterChecks } from '../eaters/EaterChecks';
import { IngredientPicker } from '../formula/IngredientPicker';
import { quantitiesComing } from '../quantities/readQuantity';
import { useQuantity } from '../quantities/useQuantity';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { useStoredKit } from '../kit/KitProvider';
import { words } from '@/wording/screens/bench/AdditionDialog';

interface AdditionDialogProps {
  onClose: () => void;
  tap: (action: BakeAction) => Problem | null;
}

interface Extra {
  readonly ingredient: Ingredient | null;
  readonly massG: number | null;
  readonly why: string;
  readonly bench: boolean;
}

/** What is about to go in, alone: that is what an eater has to hear of now. */
const onlyWith = ({ id }: Ingredient): Formula['stages'] => [
  { id: 'extra', kind: 'main', name: '', lines: [{ id: 'extra', ingredientId: id, massG: 1, note: '' }] },
];

const USUAL = ['water', 'white-rice-flour', 'tapioca-starch'];

/** "It was too wet, so I put some flour in": the spoonful that nobody writes down, written down. */
export function AdditionDialog({ onClose, tap }: AdditionDialogProps) {
  const units = useUnits();
  const readMass = useQuantity(useStoredKit().kit.measures);
  const { preferences } = usePreferences();
  const { control, register, handleSubmit, setError, setValue, formState } = useForm<Extra>({
    defaultValues: { ingredient: null, massG: null, why: '', bench: false },
  });
  const { ingredient, massG } = useWatch({ control });
  const picked = ingredient as Ingredient | null;
  const pick = (chosen: Ingredient) => setValue('ingredient', chosen);
  const submit = handleSubmit((extra) => {
    if (!extra.ingredient || extra.massG === null)
      return setError('root', { message: words.sayWhatWentInAnd });
    const { massG: addedG, why, bench } = extra;
    const problem = tap({
      type: 'added',
      ingredientId: extra.ingredient.id,
      massG: addedG,
      note: why.trim(),
      ...(bench && { bench }),
    });
    if (problem) return setError('root', { message: wordProblem(problem, preferences) });
    onClose();
  });
  return (
    <Dialog onClose={onClose} title={words.somethingExtraWentIn} hint={words.itCountsInThisBakes}>
      <WhatWentIn picked={picked} onPick={pick} />
      {picked && <EaterChecks stages={onlyWith(picked)} className="mt-3" />}
      <p className="mt-4 font-semibold">{words.howMuch}</p>
      <Cell
        size="bench"
        label={words.weightOfWhatWentIn}
        testId="extra-mass"
        unit={units.massUnit}
        value={massG == null ? '' : units.massCell(massG)}
        onType={(text) => {
          const typed = readMass(text, picked);
          const value = typed.ok ? within(typed.value, FORMULA_LIMITS.lineMassG, 'massG') : typed;
          setValue('massG', value.ok ? value.value : null);
          return value.ok ? null : wordProblem(value.problem, preferences);
        }}
        later={quantitiesComing}
      />
      <label className="mt-2 flex min-h-12 items-center gap-3 text-lg">
        <input type="checkbox" className="size-6" {...register('bench')} />
        {words.onTheBench}
      </label>
      <p className="mt-4 font-semibold">{words.why}</p>
      <Controller
        control={control}
        name="why"
        render={({ field }) => (
          <Cell
            size="bench"
            label={words.whyItWentIn}
            align="left"
            inputMode="text"
            maxLength={160}
            value={field.value}
            placeholder={words.tooWetByFeel}
            onType={(text) => {
              field.onChange(text);
              return null;
            }}
          />
        )}
      />
      <Reason>{formState.errors.root?.message}</Reason>
      <Button look="strong" size="bench" className="mt-4 w-full" onClick={() => void submit()}>
        {words.saveIt}
      </Button>
    </Dialog>
  );
}

interface WhatWentInProps {
  picked: Ingredient | null;
  onPick: (ingredient: Ingredient) => void;
}

function WhatWentIn({ picked, onPick }: WhatWentInProps) {
  const book = useBook();
  return (
    <div className="flex flex-wrap gap-2">
      {USUAL.map((id) => book.get(id)).map(
        (usual) =>
          usual && (
            <Button
              key={usual.id}
              size="bench"
              look={picked?.id === usual.id ? 'strong' : 'plain'}
              aria-pressed={picked?.id === usual.id}
              onClick={() => onPick(usual)}
            >
              {usual.name}
            </Button>
          ),
      )}
      <IngredientPicker
        label={words.anotherIngredient}
        onPick={onPick}
        className={buttonClass(picked && !USUAL.includes(picked.id) ? 'strong' : 'plain', 'bench')}
      >
        {picked && !USUAL.includes(picked.id) ? picked.name : words.another}
      </IngredientPicker>
    </div>
  );
}
