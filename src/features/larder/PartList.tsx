'use client';
import { ArrowUp, Plus, X } from 'lucide-react';
import { within } from '@/core/units';
import { buttonClass, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { useNameOf } from '../book/BookProvider';
import { IngredientPicker } from '../formula/IngredientPicker';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/larder/PartList';

export interface ListedPart {
  readonly ingredientId: string;
  readonly amount: number | null;
}

interface PartListProps {
  parts: readonly ListedPart[];
  unit: string;
  max: number;
  amountWord: string;
  /** What an amount that is left empty means. */
  emptyWord: string;
  onChange: (parts: readonly ListedPart[]) => void;
}

/** Ingredients in an order, each with an amount: what a blend is made of, or what its label lists. */
export function PartList({ parts, unit, max, amountWord, emptyWord, onChange }: PartListProps) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const { preferences } = usePreferences();
  const set = (at: number, part: ListedPart) =>
    onChange(parts.map((each, index) => (index === at ? part : each)));
  return (
    <div className="mt-3">
      <ol className="border-b border-rule">
        {parts.map((part, at) => (
          <li key={`${part.ingredientId} ${at}`} className="flex items-center gap-2 border-t border-rule">
            <span className="w-5 text-right text-sm text-soft">{at + 1}</span>
            <span className="min-w-0 flex-1 font-medium">{nameOf(part.ingredientId)}</span>
            <Cell
              label={words.of(amountWord, nameOf(part.ingredientId))}
              className="w-28"
              unit={unit}
              placeholder={emptyWord}
              value={part.amount === null ? '' : numbers.decimal(part.amount, 2)}
              onType={(text) => {
                if (text.trim() === '') {
                  set(at, { ...part, amount: null });
                  return null;
                }
                const typed = numbers.parse(text.replace(/\s*(?:%|g)$/, ''));
                const checked = typed.ok ? within(typed.value, { min: 0.001, max }, 'value') : typed;
                if (!checked.ok) return wordProblem(checked.problem, preferences);
                set(at, { ...part, amount: checked.value });
                return null;
              }}
              restore={() => set(at, part)}
            />
            <IconButton
              label={words.oneUp(nameOf(part.ingredientId))}
              disabled={at === 0}
              onClick={() =>
                onChange([
                  ...parts.slice(0, at - 1),
                  part,
                  ...parts.slice(at - 1, at),
                  ...parts.slice(at + 1),
                ])
              }
            >
              <ArrowUp size={15} aria-hidden />
            </IconButton>
            <IconButton
              label={words.remove(nameOf(part.ingredientId))}
              onClick={() => onChange(parts.filter((_, index) => index !== at))}
            >
              <X size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ol>
      <IngredientPicker
        label={words.addToIt}
        onPick={({ id }) => onChange([...parts, { ingredientId: id, amount: null }])}
        className={buttonClass('quiet', 'table', 'mt-1 text-soft')}
      >
        <Plus size={16} aria-hidden />
        {words.addAnIngredient}
      </IngredientPicker>
    </div>
  );
}
