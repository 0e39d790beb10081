'use client';
import { lotsOf, type BakeAction, type BakeRecord, type BakeState } from '@/core/bake';
import { ageOfLot } from '@/core/ingredients';
import type { Problem } from '@/core/result';
import { Choice } from '@/ui/Choice';
import { useBook } from '../book/BookProvider';
import { useKitchenTime } from '../preferences/time';
import { words } from '@/wording/screens/bench/LotsUsed';

interface LotsUsedProps {
  bake: BakeRecord;
  state: BakeState;
  tap: (action: BakeAction) => Problem | null;
  size?: 'table' | 'bench';
}

/** Which bag of each ingredient was in a bake, where the kitchen tells them apart; another one is picked here. */
export function LotsUsed({ bake, state, tap, size = 'table' }: LotsUsedProps) {
  const book = useBook();
  const day = useKitchenTime().isoDay(bake.startedAtMs);
  const used = lotsOf(bake.sheet, state);
  const names = new Map((bake.sheet.lots ?? []).map(({ lotId, name }) => [lotId, name]));
  const lines = bake.sheet.stages.flatMap((stage) => stage.lines);
  const told = [...new Map(lines.map((line) => [line.ingredientId, line])).values()].filter(
    ({ ingredientId }) => used.has(ingredientId) || (book.get(ingredientId)?.lots ?? []).length > 0,
  );
  if (told.length === 0) return null;
  return (
    <section
      aria-label={words.lots}
      className="mt-4 border-t border-rule pt-2 text-sm"
      data-testid="lots-used"
    >
      <h3 className="font-semibold">{words.lots}</h3>
      <ul>
        {told.map(({ ingredientId, name }) => {
          const now = used.get(ingredientId) ?? '';
          const known = book.get(ingredientId)?.lots ?? [];
          const options = [
            { value: '', label: words.noneToldApart },
            ...known.map((lot) => ({ value: lot.id, label: lot.name })),
            // one that has since been removed keeps the name it had that day
            ...(now && !known.some(({ id }) => id === now)
              ? [{ value: now, label: names.get(now) ?? now }]
              : []),
          ];
          const lot = known.find(({ id }) => id === now);
          const age = lot && words.age(ageOfLot(lot, day));
          return (
            <li key={ingredientId} className="flex items-center justify-between gap-3 border-t border-rule">
              <span className="min-w-0">
                {name}
                {age && <span className="block text-xs text-soft">{age}</span>}
              </span>
              <Choice
                label={words.lotOf(name.toLowerCase())}
                value={now}
                options={options}
                onChange={(lotId) => void tap({ type: 'lotUsed', ingredientId, lotId: lotId || null })}
                className={size === 'bench' ? 'min-h-12 text-base' : 'text-sm'}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
