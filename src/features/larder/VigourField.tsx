'use client';
import { useController, type FieldValues, type Path } from 'react-hook-form';
import { ENTRY_LIMITS, type Ingredient } from '@/core/ingredients';
import { Segmented } from '@/ui/Segmented';
import { NumberField } from '../quantities/NumberField';
import { words } from '@/wording/screens/larder/VigourField';

/** What a baker sees of an old jar, and what that is worth: craft, with wide doubt. */
const SEEN = [
  { value: 'new', label: words.asNew, vigour: undefined },
  { value: 'past', label: words.aMonthPastItsDate, vigour: { value: 0.8, sd: 0.15 } },
  { value: 'slow', label: words.foamedSlowlyInTheCup, vigour: { value: 0.55, sd: 0.15 } },
  { value: 'hardly', label: words.hardlyFoamed, vigour: { value: 0.25, sd: 0.1 } },
] as const;

/** How lively the jar of yeast at hand is: by what was seen of it, or as a figure. */
export function VigourField<V extends FieldValues>({ name }: { name: Path<V> }) {
  const { field } = useController<V>({ name });
  const vigour = field.value as Ingredient['vigour'];
  const seen = SEEN.find((each) => each.vigour?.value === vigour?.value);
  return (
    <fieldset className="mt-4 border-b border-rule pb-3">
      <legend className="font-semibold">{words.howLivelyItIs}</legend>
      <Segmented
        label={words.howLivelyItIs}
        value={seen?.value ?? ''}
        options={SEEN}
        onChange={(chosen) => field.onChange(SEEN.find(({ value }) => value === chosen)?.vigour)}
        className="mt-1 flex-wrap"
      />
      <NumberField
        word={words.worksAtOfNewYeast}
        unit="%"
        places={0}
        optional
        value={vigour ? Math.round(100 * vigour.value) : null}
        bounds={{ min: 100 * ENTRY_LIMITS.vigour.min, max: 100 * ENTRY_LIMITS.vigour.max }}
        onChange={(figure) =>
          field.onChange(figure === null ? undefined : { value: figure / 100, sd: vigour?.sd ?? 0.15 })
        }
      />
    </fieldset>
  );
}
