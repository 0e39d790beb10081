'use client';
import { useMemo } from 'react';
import { allergenStatement, type Caution } from '@/core/cautions';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { ALLERGEN_WORD, GLUTEN_WORD } from '@/wording/allergens';
import { wordCaution } from '@/wording/cautions';
import { useSheetState } from '../sheet/SheetContext';
import { words } from '@/wording/screens/formula/Cautions';

/** Where it can hurt somebody: one sentence each, the longer text behind it; and the statement to check against the local rule. */
export function Cautions({ cautions }: { cautions: readonly Caution[] }) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const book = useBook();
  const { preferences } = usePreferences();
  const stages = useSheetState((state) => state.formula.stages);
  const statement = useMemo(() => allergenStatement({ stages }, book), [book, stages]);
  const names = (ids: readonly string[]) => ids.map((id) => nameOf(id).toLowerCase()).join(', ');
  return (
    <section aria-labelledby="cautions" className="mt-4 border-t border-rule pt-3">
      <h2 id="cautions" className="text-base">
        {words.watchOut}
      </h2>
      <ul className="mt-1 text-sm">
        {cautions.map((caution) => {
          const words = wordCaution(caution, nameOf, preferences.temperatureUnit);
          return (
            <li key={`${caution.code} ${caution.ingredientIds.join()}`}>
              <details className="border-t border-rule py-1 first:border-0">
                <summary className="min-h-6 cursor-pointer leading-snug">{numbers.mark(words.short)}</summary>
                <p className="mt-1 text-xs text-soft">{words.long}</p>
              </details>
            </li>
          );
        })}
      </ul>
      <details className="border-t border-rule py-1 text-sm">
        <summary className="min-h-6 cursor-pointer font-semibold">{words.allergensAndMadeWithTo}</summary>
        <dl className="mt-1 space-y-1 text-xs" data-testid="statement">
          {statement.allergens.map(({ allergen, ingredientIds }) => (
            <div key={allergen}>
              <dt className="inline font-semibold">{ALLERGEN_WORD[allergen]}:</dt>{' '}
              <dd className="inline">{names(ingredientIds)}</dd>
            </div>
          ))}
          {statement.avoided.map(({ allergen, ingredientIds }) => (
            <div key={allergen}>
              <dt className="inline font-semibold">{words.whichSomeAvoid(ALLERGEN_WORD[allergen])}</dt>{' '}
              <dd className="inline">{names(ingredientIds)}</dd>
            </div>
          ))}
          {statement.gluten.map(({ risk, ingredientIds }) => (
            <div key={risk}>
              <dt className="inline font-semibold">{GLUTEN_WORD[risk]}:</dt>{' '}
              <dd className="inline">{names(ingredientIds)}</dd>
            </div>
          ))}
          <div>
            <dt className="inline font-semibold">{words.madeWithByWeight}</dt>{' '}
            <dd className="inline">{names(statement.madeWith.map(({ ingredientId }) => ingredientId))}</dd>
          </div>
        </dl>
        <p className="mt-2 text-xs text-soft">{words.calculatedFromThisFormula}</p>
      </details>
    </section>
  );
}
