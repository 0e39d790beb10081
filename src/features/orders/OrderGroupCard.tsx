'use client';
import { useMemo } from 'react';
import type { DayFormula } from '@/core/day/kitchenDay';
import { checkEaters } from '@/core/eaters';
import type { Order } from '@/core/orders/orderDocument';
import type { OrderEdit } from '@/core/orders/orderEdit';
import type { OrderGroup } from '@/core/orders/ordersDue';
import { Button, buttonClass } from '@/ui/Button';
import { EXCLUSION_WORD, wordReason } from '@/wording/eaters';
import { words } from '@/wording/screens/orders/orders';
import { useBook, useNameOf } from '../book/BookProvider';
import { useClockWords } from '../clock/useClockWords';
import { KitchenLink } from '../kitchen/KitchenProvider';

interface OrderGroupCardProps {
  readonly group: OrderGroup;
  readonly formula: DayFormula | null;
  readonly spare: number;
  readonly nowMs: number;
  readonly edit: (edit: OrderEdit) => unknown;
  readonly onDay: () => void;
  readonly trouble: string | null;
}

/** The same bread for the same time: how many, for whom, and onto the day with it. */
export function OrderGroupCard({ group, formula, spare, nowMs, edit, onDay, trouble }: OrderGroupCardProps) {
  const say = useClockWords(nowMs);
  const batchId = group.due.find((each) => each.batchId !== null)?.batchId ?? null;
  return (
    <li className="docket rounded-b-md px-4 py-3" data-testid="order-group" data-bread={group.formulaName}>
      <p className="text-soft">{say.at(group.atMs)}</p>
      <h2 className="text-xl leading-tight">{group.formulaName}</h2>
      {group.pieces > 0 ? (
        <p className="mt-1">
          <span className="figure text-4xl">{words.pieces(group.pieces)}</span>
          <span className="text-soft">{words.plusSpare(spare)}</span>
        </p>
      ) : (
        <p className="mt-1 text-lg">{batchId ? words.nothingLeft : words.allSkipped}</p>
      )}
      <ul className="mt-2">
        {group.due.map(({ order, date, skipped, batchId: made }) => (
          <li key={order.id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className={skipped ? 'text-soft line-through' : ''}>
              <strong>{order.pieces}</strong> {order.who}
            </span>
            <span className="mr-auto text-sm text-soft">{[order.avoids.length > 0 && words.without(order.avoids.map((each) => EXCLUSION_WORD[each]).join(', ')), skipped && words.leftOut, made && words.inBatch].filter(Boolean).join(', ')}</span>
            {made === null && order.when.kind === 'weekly' && (
              <Button look="quiet" aria-label={skipped ? words.unskip(order.who) : words.skip(order.who)} onClick={() => edit({ type: 'skip', orderId: order.id, date, skip: !skipped })}>
                {skipped ? words.unskipShort : words.skipShort}
              </Button>
            )}
            {formula && <OrderCheck order={order} formula={formula} />}
          </li>
        ))}
      </ul>
      {trouble && <p role="alert" className="mt-2 text-sm text-alarm">{trouble}</p>}
      {!formula && <p className="mt-2 text-sm text-alarm">{words.gone}</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        {group.pieces > 0 && formula && <Button look="strong" className="min-h-11" onClick={onDay}>{words.ontoTheDay}</Button>}
        {batchId && (
          <>
            <KitchenLink href="/day" className={buttonClass('plain', 'table', 'min-h-11')}>{words.onTheDay}</KitchenLink>
            <KitchenLink href={`/labels?batch=${batchId}`} className={buttonClass('quiet', 'table', 'min-h-11')}>{words.labels}</KitchenLink>
          </>
        )}
      </div>
    </li>
  );
} // prettier-ignore

/** What must not be in it, and is, or may be. */
function OrderCheck({ order, formula }: { order: Order; formula: DayFormula }) {
  const book = useBook();
  const nameOf = useNameOf();
  const [check] = useMemo(
    () => checkEaters(formula.formula, book, [{ id: order.id, name: order.who, avoids: order.avoids }]),
    [formula, book, order],
  );
  if (!check || check.verdict === 'nothingFound') return null;
  const no = check.verdict === 'no';
  const shown = no ? check.reasons.filter(({ why }) => why === 'holds') : check.reasons;
  return (
    <p className={no ? 'w-full text-sm font-semibold text-alarm' : 'w-full text-sm text-soft'} data-testid="order-check">
      {no ? words.holds : words.look} {shown.map((reason) => wordReason(reason, reason.ingredientIds.map((id) => nameOf(id).toLowerCase()).join(', '))).join('; ')}
    </p>
  );
} // prettier-ignore
