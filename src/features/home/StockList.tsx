'use client';
import { words } from '@/wording/screens/home/StockList';
import { PUT_BY_WORD } from '@/wording/words';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';

/** What a bake left in the freezer or the larder. */
export interface StockOfBake {
  readonly id: string;
  readonly name: string;
  readonly stock: readonly {
    readonly wayId: string;
    readonly name: string;
    readonly as: keyof typeof PUT_BY_WORD;
    readonly bestByMs: number;
    readonly leftPieces: number;
  }[];
}

/** What is put by, what is best soonest first; taken out where its bake is logged. */
export function StockList({ bakes, nowMs }: { bakes: readonly StockOfBake[]; nowMs: number }) {
  const time = useKitchenTime();
  const lines = bakes
    .flatMap(({ id, name: of, stock }) => stock.map((each) => ({ ...each, id, of })))
    .sort((a, b) => a.bestByMs - b.bestByMs);
  if (lines.length === 0) return null;
  return (
    <section aria-labelledby="stock-title" className="mt-8" data-testid="stock">
      <h2 id="stock-title" className="mb-2 text-lg">
        {words.putBy}
      </h2>
      <ul className="docket rounded-b-md px-3 pb-1">
        {lines.map(({ id, wayId, name, of, as, bestByMs, leftPieces }) => (
          <li key={`${id} ${wayId}`} className="border-t border-rule first:border-0">
            <KitchenLink
              href={`/logbook/${id}`}
              prefetch={false}
              className="flex min-h-11 flex-wrap items-baseline gap-x-3 py-2 hover:bg-well"
            >
              <span className="figure text-2xl">{leftPieces}</span>
              <span className="font-semibold">{name}</span>
              <span className="text-soft">
                {of}, {PUT_BY_WORD[as]}
              </span>
              <span className={nowMs > bestByMs ? 'ml-auto font-semibold text-alarm' : 'ml-auto text-soft'}>
                {(nowMs > bestByMs ? words.wasBest : words.best)(time.dayAndYear(bestByMs))}
              </span>
            </KitchenLink>
          </li>
        ))}
      </ul>
    </section>
  );
}
