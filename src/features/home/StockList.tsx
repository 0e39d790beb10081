'use client';
import { formatDuration } from '@/core/units';
import { buttonClass } from '@/ui/Button';
import { words } from '@/wording/screens/home/StockList';
import { bestUntil, KEPT_WORD, PUT_BY_WORD } from '@/wording/words';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';

type Put = {
  readonly name: string;
  readonly bestByMs: number;
} & (
  | {
      readonly wayId: string;
      readonly as: keyof typeof PUT_BY_WORD;
      readonly leftPieces: number;
      readonly finishS: number;
    }
  | { readonly stageId: string; readonly place: keyof typeof KEPT_WORD; readonly leftG: number }
);

/** What a bake left in the freezer, the fridge or the larder. */
export interface StockOfBake {
  readonly id: string;
  readonly name: string;
  readonly stock: readonly Put[];
}

/** What is put by or left over, what is best soonest first; taken out where its bake is logged. */
export function StockList({ bakes, nowMs }: { bakes: readonly StockOfBake[]; nowMs: number }) {
  const time = useKitchenTime();
  const units = useUnits();
  const lines = bakes
    .flatMap(({ id, name: of, stock }) => stock.map((put) => ({ put, id, of })))
    .sort((a, b) => a.put.bestByMs - b.put.bestByMs);
  if (lines.length === 0) return null;
  return (
    <section aria-labelledby="stock-title" className="mt-8" data-testid="stock">
      <h2 id="stock-title" className="mb-2 text-lg">
        {words.putBy}
      </h2>
      <ul className="docket rounded-b-md px-3 pb-1">
        {lines.map(({ put, id, of }) => {
          const past = nowMs > put.bestByMs;
          const pieces = 'wayId' in put;
          return (
            <li
              key={`${id} ${pieces ? put.wayId : put.stageId}`}
              className="flex items-center gap-2 border-t border-rule first:border-0"
            >
              <KitchenLink
                href={`/logbook/${id}`}
                prefetch={false}
                className="flex min-h-11 grow flex-wrap items-baseline gap-x-3 py-2 hover:bg-well"
              >
                <span className="figure text-2xl">
                  {pieces ? put.leftPieces : units.mass(Math.round(put.leftG))}
                </span>
                <span className="font-semibold">{put.name}</span>
                <span className="text-soft">
                  {of}, {pieces ? PUT_BY_WORD[put.as] : KEPT_WORD[put.place]}
                  {pieces &&
                    put.finishS > 0 &&
                    words.readyAfter(formatDuration(Math.round(put.finishS / 300) * 300))}
                </span>
                <span className={past ? 'ml-auto font-semibold text-alarm' : 'ml-auto text-soft'}>
                  {bestUntil(time.dayAndYear(put.bestByMs), past)}
                </span>
              </KitchenLink>
              {pieces && put.finishS > 0 && (
                <KitchenLink
                  href={`/day?take=${id}&way=${encodeURIComponent(put.wayId)}`}
                  prefetch={false}
                  aria-label={words.readyAtOf(put.leftPieces, put.name)}
                  className={buttonClass('plain', 'table', 'min-h-11 shrink-0')}
                >
                  {words.readyAt}
                </KitchenLink>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
