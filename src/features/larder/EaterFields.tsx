'use client';
import { useController } from 'react-hook-form';
import { ALLERGENS, GLUTEN_RISKS, type Allergen } from '@/core/ingredients';
import { Choice } from '@/ui/Choice';
import { ALLERGEN_WORD, GLUTEN_WORD } from '@/wording/allergens';
import type { EntryValues } from './entryValues';
import { words } from '@/wording/screens/larder/EaterFields';

/** Who must not eat it. What the library knows of a thing no bag takes away: those stay ticked. */
export function EaterFields({ fixed }: { fixed: readonly Allergen[] }) {
  const gluten = useController<EntryValues, 'figures.gluten'>({ name: 'figures.gluten' }).field;
  const { field } = useController<EntryValues, 'figures.allergens'>({ name: 'figures.allergens' });
  const allergens: readonly Allergen[] = field.value;
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{words.whoMustNotEatIt}</legend>
      <Choice
        label={words.gluten}
        value={gluten.value}
        options={GLUTEN_RISKS.map((value) => ({ value, label: GLUTEN_WORD[value] }))}
        onChange={gluten.onChange}
        className="mt-1 border-edge bg-surface"
      />
      <div className="mt-1 flex flex-wrap gap-x-4">
        {ALLERGENS.map((allergen) => (
          <label key={allergen} className="flex min-h-8 items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={allergens.includes(allergen)}
              disabled={fixed.includes(allergen)}
              onChange={(event) =>
                field.onChange(
                  event.currentTarget.checked
                    ? [...allergens, allergen]
                    : allergens.filter((each) => each !== allergen),
                )
              }
            />
            {ALLERGEN_WORD[allergen]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
