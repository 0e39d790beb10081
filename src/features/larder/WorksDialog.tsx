'use client';
import { useMemo } from 'react';
import { FormProvider, useController } from 'react-hook-form';
import { absorbsByRecipe, type Band } from '@/core/consistency';
import {
  ENTRY_LIMITS, type BagEntry, type Estimate, type Ingredient, type IngredientBook, type KitchenEntry, type StoredEntry, type WorkingRecipe,
} from '@/core/ingredients'; // prettier-ignore
import { Z80 } from '@/core/numeric';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { BAND_OPTIONS } from '@/wording/bands';
import { useBook } from '../book/BookProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { FormNumber } from './FormNumber';
import { SaveIt } from './SaveIt';
import { useEntryForm } from './useEntryForm';
import { words } from '@/wording/screens/larder/WorksDialog';

interface WorksValues {
  readonly bagG: number | null;
  readonly waterG: number | null;
  readonly oilG: number | null;
  readonly eggG: number | null;
  readonly standMin: number | null;
  readonly band: Band;
}

const startOf = (was: WorkingRecipe | undefined): WorksValues =>
  was ?? { bagG: 500, waterG: null, oilG: 0, eggG: 0, standMin: 20, band: 'soft' };

const worksOf = ({ bagG, waterG, oilG, eggG, standMin, band }: WorksValues): WorkingRecipe | null =>
  bagG === null || waterG === null
    ? null
    : { bagG, waterG, oilG: oilG ?? 0, eggG: eggG ?? 0, standMin: standMin ?? 0, band };

/** The book with this bag as its label has it, before anything was known of it as a whole. */
function asLabelled(book: IngredientBook, ingredient: Ingredient): IngredientBook {
  const { absorbs: _, ...plain } = ingredient.lot?.plain ?? ingredient;
  return new Map(book).set(ingredient.id, plain);
}

function entryOf(
  ingredient: Ingredient,
  before: StoredEntry | undefined,
  works: WorkingRecipe,
  absorbs: Estimate,
): KitchenEntry {
  if (before?.entry.kind === 'blend') {
    const { learntFrom: _, ...blend } = before.entry;
    return { ...blend, works, absorbs };
  }
  const was: BagEntry =
    before?.entry.kind === 'bag'
      ? before.entry
      : { kind: 'bag', id: ingredient.id, bag: words.asARecipeThatWorks, source: '', changes: {} };
  const { learntFrom: _, ...bag } = was;
  return { ...bag, works, changes: { ...bag.changes, absorbs } };
}

interface WorksDialogProps {
  ingredient: Ingredient;
  before: StoredEntry | undefined;
  onClose: () => void;
}

/** A recipe that works with a bought mixture, and how its dough feels: what the bag absorbs as a whole, at once. */
export function WorksDialog({ ingredient, before, onClose }: WorksDialogProps) {
  const book = useBook();
  const numbers = useNumbers();
  const labelled = useMemo(() => asLabelled(book, ingredient), [book, ingredient]);
  const was = before && 'works' in before.entry ? before.entry.works : undefined;
  const absorbsOf = (values: WorksValues) => {
    const works = worksOf(values);
    return works && absorbsByRecipe(ingredient.id, works, labelled);
  };
  const form = useEntryForm<WorksValues>(() => startOf(was), {
    entry: (values) => {
      const works = worksOf(values);
      const absorbs = absorbsOf(values);
      return works && absorbs ? entryOf(ingredient, before, works, absorbs) : null;
    },
    seen: before?.version ?? 0,
    onSaved: onClose,
  });
  const complete = worksOf(form.values) !== null;
  const absorbs = absorbsOf(form.values);
  return (
    <FormProvider {...form.form}>
      <Dialog
        onClose={onClose}
        title={words.title(ingredient.name.toLowerCase())}
        hint={words.whatIsPrintedOnTheBag}
      >
        <Amounts />
        <Feels />
        <p role="status" className="mt-3" data-testid="as-a-whole">
          {absorbs
            ? words.asAWholeItAbsorbs(numbers.decimal(absorbs.value, 2), numbers.decimal(Z80 * absorbs.sd, 2))
            : complete
              ? words.thisTellsNothing
              : null}
        </p>
        <SaveIt form={form} missing={absorbs ? null : complete ? words.thisTellsNothing : words.sayHowMuch} />
      </Dialog>
    </FormProvider>
  );
}

function Amounts() {
  return (
    <fieldset>
      {(
        [
          ['bagG', words.ofTheBag, ENTRY_LIMITS.worksG],
          ['waterG', words.waterAndMilk, ENTRY_LIMITS.worksG],
          ['oilG', words.oilOrButter, { min: 0, max: ENTRY_LIMITS.worksG.max }],
          ['eggG', words.eggs, { min: 0, max: ENTRY_LIMITS.worksG.max }],
        ] as const
      ).map(([name, word, bounds]) => (
        <FormNumber<WorksValues> key={name} name={name} word={word} measure="mass" optional bounds={bounds} />
      ))}
      <FormNumber<WorksValues>
        name="standMin"
        word={words.soLongAfterMixing}
        unit="min"
        places={0}
        optional
        bounds={{ min: 0, max: 24 * 60 }}
      />
    </fieldset>
  );
}

function Feels() {
  const { field } = useController<WorksValues, 'band'>({ name: 'band' });
  return (
    <>
      <p className="mt-3 text-sm font-semibold">{words.itsDoughFeels}</p>
      <Segmented
        label={words.itsDoughFeels}
        value={field.value}
        onChange={field.onChange}
        options={BAND_OPTIONS}
        className="flex-wrap"
      />
    </>
  );
}
