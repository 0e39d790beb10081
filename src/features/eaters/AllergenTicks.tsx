'use client';
import type { ReactNode } from 'react';
import { ALLERGENS, GLUTEN_RISKS, type Allergen, type GlutenRisk } from '@/core/ingredients';
import { Choice } from '@/ui/Choice';
import { ALLERGEN_WORD, GLUTEN_WORD } from '@/wording/allergens';
import { words } from '@/wording/screens/eaters/AllergenTicks';

interface AllergenTicksProps {
  gluten: GlutenRisk;
  onGluten: (gluten: GlutenRisk) => void;
  allergens: readonly Allergen[];
  onAllergens: (allergens: readonly Allergen[]) => void;
  /** Those stay ticked. */
  fixed?: readonly Allergen[];
  /** One more tick behind them. */
  children?: ReactNode;
}

/** Gluten and allergens, each a tick. */
export function AllergenTicks({
  gluten,
  onGluten,
  allergens,
  onAllergens,
  fixed = [],
  children,
}: AllergenTicksProps) {
  return (
    <>
      <Choice
        label={words.gluten}
        value={gluten}
        options={GLUTEN_RISKS.map((value) => ({ value, label: GLUTEN_WORD[value] }))}
        onChange={onGluten}
        className="mt-1 border-edge bg-surface"
      />
      <div className="mt-1 flex flex-wrap gap-x-4">
        {ALLERGENS.map((allergen) => (
          <Tick
            key={allergen}
            on={allergens.includes(allergen)}
            fixed={fixed.includes(allergen)}
            onTick={(on) =>
              onAllergens(on ? [...allergens, allergen] : allergens.filter((each) => each !== allergen))
            }
          >
            {ALLERGEN_WORD[allergen]}
          </Tick>
        ))}
        {children}
      </div>
    </>
  );
}

interface TickProps {
  on: boolean;
  fixed?: boolean;
  onTick: (on: boolean) => void;
  children: ReactNode;
}

export function Tick({ on, fixed = false, onTick, children }: TickProps) {
  return (
    <label className="flex min-h-8 items-center gap-1.5 text-sm">
      <input
        type="checkbox"
        className="size-5 accent-ink"
        checked={on}
        disabled={fixed}
        onChange={(event) => onTick(event.currentTarget.checked)}
      />
      {children}
    </label>
  );
}
