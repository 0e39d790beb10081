'use client';
import type { FormulaTotals } from '@/core/formula';
import { libraryBook } from '@/core/ingredients';
import { useUnits } from '../preferences/PreferencesProvider';
import { roleColor } from './RoleMark';

interface Part {
  readonly ingredientId: string;
  readonly waterG: number;
}

function byIngredient(totals: FormulaTotals): Part[] {
  const sums = new Map<string, number>();
  for (const { ingredientId, waterG } of totals.waterSources) {
    sums.set(ingredientId, (sums.get(ingredientId) ?? 0) + waterG);
  }
  return [...sums]
    .map(([ingredientId, waterG]) => ({ ingredientId, waterG }))
    .sort((a, b) => b.waterG - a.waterG);
}

/** Where the water comes from, as one trough filled from several jugs; the sources named beneath with their grams. */
export function WaterPicture({ totals }: { totals: FormulaTotals }) {
  const units = useUnits();
  const all = byIngredient(totals);
  const allG = all.reduce((sum, part) => sum + part.waterG, 0);
  // the trace of water in salt or oil is counted, but naming it would hide what matters
  const parts = all.filter(({ waterG }) => waterG >= 0.004 * allG);
  const tracesG = allG - parts.reduce((sum, part) => sum + part.waterG, 0);
  if (allG <= 0) return <p className="mt-2 text-sm text-soft">No water in it yet.</p>;
  return (
    <figure className="mt-3">
      <div
        aria-hidden
        className="flex h-6 overflow-hidden rounded-b-xl border-2 border-t-0 border-ink bg-well"
      >
        {parts.map(({ ingredientId, waterG }) => (
          <span
            key={ingredientId}
            style={{
              width: `${(100 * waterG) / allG}%`,
              background: roleColor(libraryBook.get(ingredientId)?.roles[0] ?? 'liquid'),
            }}
            className="border-r border-sheet last:border-0"
          />
        ))}
      </div>
      <figcaption className="mt-1.5 flex flex-wrap gap-x-3 text-xs text-soft">
        {parts.map(({ ingredientId, waterG }) => (
          <span key={ingredientId}>
            <span
              aria-hidden
              className="mr-1 inline-block size-2.5 rounded-[2px]"
              style={{ background: roleColor(libraryBook.get(ingredientId)?.roles[0] ?? 'liquid') }}
            />
            {libraryBook.get(ingredientId)?.name ?? ingredientId} {units.mass(waterG)}
          </span>
        ))}
        {tracesG > 0.005 && <span>traces elsewhere {units.mass(tracesG)}</span>}
      </figcaption>
    </figure>
  );
}
