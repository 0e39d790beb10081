'use client';
import { useController } from 'react-hook-form';
import { ENTRY_LIMITS, type Ingredient } from '@/core/ingredients';
import { Button } from '@/ui/Button';
import { NumberField } from '../quantities/NumberField';
import type { EntryValues } from './entryValues';
import { words } from '@/wording/screens/larder/VigourField';

/** What a baker sees of an old jar, and what that is worth: craft, with wide doubt. */
const SEEN = [
  { word: words.asNew, vigour: undefined },
  { word: words.aMonthPastItsDate, vigour: { value: 0.8, sd: 0.15 } },
  { word: words.foamedSlowlyInTheCup, vigour: { value: 0.55, sd: 0.15 } },
  { word: words.hardlyFoamed, vigour: { value: 0.25, sd: 0.1 } },
] as const;

/** How lively the jar of yeast at hand is: by what was seen of it, or as a figure. */
export function VigourField() {
  const { field } = useController<EntryValues, 'figures.vigour'>({ name: 'figures.vigour' });
  const vigour: Ingredient['vigour'] = field.value;
  const percent = vigour ? Math.round(100 * vigour.value) : null;
  return (
    <fieldset className="mt-4 border-b border-rule pb-3">
      <legend className="font-semibold">{words.howLivelyItIs}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {SEEN.map((seen) => (
          <Button
            key={seen.word}
            aria-pressed={seen.vigour?.value === vigour?.value}
            onClick={() => field.onChange(seen.vigour)}
          >
            {seen.word}
          </Button>
        ))}
      </div>
      <NumberField
        word={words.worksAtOfNewYeast}
        unit="%"
        places={0}
        optional
        value={percent}
        bounds={{ min: 100 * ENTRY_LIMITS.vigour.min, max: 100 * ENTRY_LIMITS.vigour.max }}
        onChange={(figure) =>
          field.onChange(figure === null ? undefined : { value: figure / 100, sd: vigour?.sd ?? 0.15 })
        }
      />
    </fieldset>
  );
}
