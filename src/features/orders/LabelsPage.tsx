'use client';
import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { allergenStatement } from '@/core/cautions';
import type { DayBatchDocument } from '@/core/day/dayDocument';
import type { Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { ALLERGEN_WORD } from '@/wording/allergens';
import { words } from '@/wording/screens/orders/orders';
import { useBook, useNameOf } from '../book/BookProvider';
import { useKitchenTime } from '../preferences/time';

interface LabelsPageProps {
  readonly batch: DayBatchDocument;
  readonly formula: Formula;
  /** The name of what was baked, to be traced by. */
  readonly lot: string;
  readonly bakedMs: number;
}

/** More labels than this nobody prints at once. */
const MOST = 500;

/** Labels for the table: what is in it by falling weight, allergens, day, lot. */
export function LabelsPage({ batch, formula, lot, bakedMs }: LabelsPageProps) {
  const book = useBook();
  const nameOf = useNameOf();
  const time = useKitchenTime();
  const orders = batch.orders ?? [];
  const [of, setOf] = useState<'orders' | 'pieces'>(orders.length > 0 ? 'orders' : 'pieces');
  const { madeWith, allergens, unknownIds } = useMemo(() => allergenStatement(formula, book), [formula, book]);
  const pieces = Math.min(MOST, batch.batch.mode === 'pieces' ? batch.batch.pieces : formula.usualYield.pieces);
  const labels = of === 'orders' ? orders.map(({ who, pieces: count }) => `${who}: ${words.pieces(count)}`) : Array.from({ length: pieces }, () => '');
  return (
    <>
      <div className="no-print mb-4">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="mr-auto text-3xl">{words.label.title(batch.name)}</h1>
          {orders.length > 0 && (
            <Segmented label={words.label.each} value={of} onChange={setOf} options={[{ value: 'orders', label: words.label.orders }, { value: 'pieces', label: words.label.everyPiece }]} />
          )}
          <Button look="strong" className="min-h-11" onClick={() => window.print()}><Printer size={16} aria-hidden />{words.label.print}</Button>
        </div>
        <p className="mt-1 max-w-prose text-sm text-soft">{words.label.hint}</p>
      </div>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-2 print:gap-2">
        {labels.map((whose, at) => (
          <li key={at} className="break-inside-avoid border border-ink bg-surface p-3 text-sm" data-testid="label">
            <p className="font-head text-lg leading-tight font-semibold">{formula.name}</p>
            {whose && <p className="font-semibold">{whose}</p>}
            <p className="mt-1"><strong>{words.label.ingredients}</strong> {madeWith.map(({ ingredientId }) => nameOf(ingredientId).toLowerCase()).join(', ')}.</p>
            <p className="mt-1 font-semibold">{allergens.length > 0 ? words.label.contains(allergens.map(({ allergen }) => ALLERGEN_WORD[allergen]).join(', ')) : words.label.noneFound} {unknownIds.length > 0 && words.label.unknown(unknownIds.map(nameOf).join(', '))}</p>
            <p className="mt-1 flex flex-wrap gap-x-3 text-xs"><span>{words.label.made(time.dayAndYear(bakedMs))}</span><span>{words.label.lot(lot)}</span><span>{words.label.rule}</span></p>
          </li>
        ))}
      </ul>
    </>
  );
} // prettier-ignore
