'use client';
import { useController } from 'react-hook-form';
import type { Allergen } from '@/core/ingredients';
import { words } from '@/wording/screens/larder/EaterFields';
import { AllergenTicks } from '../eaters/AllergenTicks';
import type { EntryValues } from './entryValues';

/** Who must not eat it. What the library knows of a thing no bag takes away: those stay ticked. */
export function EaterFields({ fixed }: { fixed: readonly Allergen[] }) {
  const gluten = useController<EntryValues, 'figures.gluten'>({ name: 'figures.gluten' }).field;
  const { field } = useController<EntryValues, 'figures.allergens'>({ name: 'figures.allergens' });
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{words.whoMustNotEatIt}</legend>
      <AllergenTicks
        gluten={gluten.value}
        onGluten={gluten.onChange}
        allergens={field.value}
        onAllergens={field.onChange}
        fixed={fixed}
      />
    </fieldset>
  );
}
