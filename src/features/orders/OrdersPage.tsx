'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { editDay } from '@/core/day/dayEdit';
import type { DayDocument } from '@/core/day/dayDocument';
import type { DayFormula } from '@/core/day/kitchenDay';
import { ORDER_LIMITS, type Order, type OrdersDocument } from '@/core/orders/orderDocument';
import { editOrders, type OrderEdit } from '@/core/orders/orderEdit';
import { batchForOrders, ordersDue, type OrderGroup } from '@/core/orders/ordersDue';
import type { ProblemCode } from '@/core/result';
import { within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { newUuid } from '@/ui/newUuid';
import { patiently } from '@/ui/patiently';
import { useTwice } from '@/ui/useTwice';
import { DAYS } from '@/wording/calendar';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/orders/orders';
import { ask } from '../asking/ask';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { useKitchen, useKitchenRouter } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { NumberField } from '../quantities/NumberField';
import { readWhole } from '../quantities/readWhole';
import type { Stored } from '../versioned/useVersioned';
import { VersionedStatus } from '../versioned/VersionedStatus';
import { OrderGroupCard } from './OrderGroupCard';
import { useOrders } from './useOrders';

const OrderDialog = dynamic(
  patiently(() => import('./OrderDialog').then((module) => module.OrderDialog)),
  { ssr: false },
);

interface OrdersPageProps {
  readonly stored: Stored<OrdersDocument>;
  readonly day: Stored<DayDocument>;
  /** Those that are ordered, as they are now. */
  readonly formulas: readonly DayFormula[];
  /** Those that can be ordered. */
  readonly names: readonly { readonly id: string; readonly name: string }[];
  readonly nowMs: number;
}

const AHEAD_DAYS = 7;
const WEEK_MS = 7 * 86_400_000;
const DAY_TROUBLE: Partial<Record<ProblemCode, string>> = { tooMany: words.dayFull, tooLarge: words.tooFar };
const BATCH_TROUBLE: Partial<Record<ProblemCode, string>> = {
  notAllowed: words.severalBreads,
  tooLarge: words.tooMany,
};

/** What is ordered for this week, by what can be made in one batch; and all orders. */
export function OrdersPage({ stored, day, formulas, names, nowMs: drawnMs }: OrdersPageProps) {
  const { value, change, save } = useOrders(stored);
  const { timeZone } = usePreferences().ways;
  const kitchen = useKitchen();
  const router = useKitchenRouter();
  const [offsetMs] = useState(() => clockOffsetMs(drawnMs));
  const nowMs = Math.floor(useNow(offsetMs, drawnMs) / 60_000) * 60_000;
  const [taking, setTaking] = useState(false);
  const [trouble, setTrouble] = useState<{ readonly key: string; readonly text: string } | null>(null);
  const groups = useMemo(() => ordersDue(value, day.value.batches, timeZone, nowMs, AHEAD_DAYS), [value, day.value.batches, timeZone, nowMs]);
  const edit = (made: OrderEdit): ProblemCode | null => {
    const next = editOrders(value, made, nowMs);
    if (!next.ok) return next.problem.code;
    change(next.value);
    return null;
  };
  const keyOf = ({ formulaId, atMs }: OrderGroup) => `${formulaId} ${atMs}`;
  const onDay = async (group: OrderGroup, { formulaId, revision, formula }: DayFormula) => {
    const say = (text: string) => setTrouble({ key: keyOf(group), text });
    const made = batchForOrders(group, formula, value.spare);
    if (!made.ok) return say(BATCH_TROUBLE[made.problem.code] ?? words.notSaved);
    const next = editDay(day.value, { type: 'add', batch: { id: newUuid(), formulaId, revision, name: formula.name, ...made.value } }, nowMs);
    if (!next.ok) return say(DAY_TROUBLE[next.problem.code] ?? words.notSaved);
    const answer = await ask(kitchen.api('/day'), { requestId: newUuid(), seen: day.version, day: next.value });
    if (answer.kind !== 'ok') return say(words.notSaved);
    router.push('/day');
  };
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="text-3xl">{words.orders}</h1>
        <VersionedStatus save={save} testId="orders-save" />
        <Button className="ml-auto min-h-11" onClick={() => setTaking(true)}><Plus size={16} aria-hidden />{words.take}</Button>
      </div>
      <p className="mb-4 max-w-prose text-sm text-soft">{words.about}</p>
      {groups.length === 0 ? (
        <div className="docket rounded-b-md p-6">
          <p className="font-head text-2xl font-semibold">{words.none}</p>
          <p className="mt-1 max-w-prose text-soft">{words.noneHint}</p>
        </div>
      ) : (
        <ul className="grid items-start gap-4 md:grid-cols-2 xl:grid-cols-3">
          {groups.map((group) => {
            const formula = formulas.find(({ formulaId }) => formulaId === group.formulaId) ?? null;
            return (
              <OrderGroupCard key={keyOf(group)} group={group} formula={formula} spare={value.spare} nowMs={nowMs} edit={edit}
                onDay={() => formula && void onDay(group, formula)} trouble={trouble?.key === keyOf(group) ? trouble.text : null} />
            );
          })}
        </ul>
      )}
      <section className="mt-6 max-w-3xl" aria-labelledby="all-orders">
        <h2 id="all-orders" className="mb-1 text-lg">{words.all}</h2>
        <NumberField word={words.spare} value={value.spare} bounds={ORDER_LIMITS.spare} places={0} name="spare" read={readWhole} onChange={(spare) => spare !== null && edit({ type: 'spare', spare })} />
        <ul>
          {value.orders.map((order) => <OrderRow key={order.id} order={order} nowMs={nowMs} edit={edit} />)}
        </ul>
      </section>
      {taking && <OrderDialog formulas={names} nowMs={nowMs} edit={edit} onClose={() => setTaking(false)} />}
    </>
  );
} // prettier-ignore

function OrderRow({ order, nowMs, edit }: { order: Order; nowMs: number; edit: (edit: OrderEdit) => unknown }) {
  const time = useKitchenTime();
  const twice = useTwice();
  const { when } = order;
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
      <Pieces order={order} edit={edit} />
      <span className="mr-auto">
        {order.formulaName} <span className="text-soft">{order.who}, {when.kind === 'weekly' ? words.every(when.days.map((day) => DAYS[day % 7]).join(', '), when.clock) : time.dayAndClock(when.atMs)}{when.kind === 'once' && when.atMs <= nowMs && `, ${words.over}`}</span>
      </span>
      {when.kind === 'once' && <Button look="quiet" onClick={() => edit({ type: 'again', orderId: order.id, id: newUuid(), atMs: when.atMs + WEEK_MS * Math.max(1, Math.ceil((nowMs - when.atMs) / WEEK_MS)) })}>{words.again}</Button>}
      <Button look={twice.asked ? 'alarm' : 'quiet'} onClick={() => twice.press() && edit({ type: 'remove', orderId: order.id })}>{twice.asked ? words.reallyRemove : words.remove}</Button>
    </li>
  );
} // prettier-ignore

/** How many, to be changed where they stand. */
function Pieces({ order: { id, who, pieces }, edit }: { order: Order; edit: (edit: OrderEdit) => unknown }) {
  const { preferences } = usePreferences();
  return (
    <Cell label={words.piecesOf(who)} value={String(pieces)} inputMode="numeric" className="w-20" inputClassName="font-semibold"
      onType={(text) => {
        const read = readWhole(text);
        const count = read.ok ? within(read.value, ORDER_LIMITS.pieces, 'pieces') : read;
        if (!count.ok) return wordProblem(count.problem, preferences);
        edit({ type: 'pieces', orderId: id, pieces: count.value });
        return null;
      }}
      restore={() => edit({ type: 'pieces', orderId: id, pieces })} />
  );
} // prettier-ignore
