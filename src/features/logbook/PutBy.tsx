'use client';
import { stockOf, type BakeAction, type BakeRecord, type BakeState } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { PUT_BY_WORD } from '@/wording/words';
import { words } from '@/wording/screens/logbook/PutBy';
import { useKitchenTime } from '../preferences/time';

interface PutByProps {
  bake: BakeRecord;
  state: BakeState;
  tap: (action: BakeAction) => Problem | null;
  nowMs: number;
}

/** What of a bake was put by, how much of it is left and until when it is good; taken out here, piece by piece or all of it. */
export function PutBy({ bake, state, tap, nowMs }: PutByProps) {
  const time = useKitchenTime();
  const stock = stockOf(bake.sheet, state);
  if (stock.length === 0) return null;
  return (
    <section
      aria-labelledby="put-by-title"
      className="docket rounded-b-md px-5 pt-4 pb-5"
      data-testid="put-by"
    >
      <h2 id="put-by-title" className="text-xl">
        {words.putBy}
      </h2>
      <ul>
        {stock.map(({ wayId, name, as, leftPieces, madePieces, bestByMs }) => {
          const count = (left: number) => void tap({ type: 'stockCounted', wayId, leftPieces: left });
          const past = nowMs > bestByMs;
          return (
            <li key={wayId} className="border-t border-rule py-2">
              <p>
                <span className="figure text-3xl">{leftPieces}</span>{' '}
                {words.leftOf(madePieces, name, PUT_BY_WORD[as])}
              </p>
              <p className={past ? 'text-sm font-semibold text-alarm' : 'text-sm text-soft'}>
                {(past ? words.pastItsTime : words.goodUntil)(time.dayAndYear(bestByMs))}
              </p>
              <div className="no-print mt-1 flex flex-wrap gap-2">
                <Button
                  className="min-h-10"
                  disabled={leftPieces === 0}
                  onClick={() => count(leftPieces - 1)}
                >
                  {words.oneOut}
                </Button>
                <Button className="min-h-10" disabled={leftPieces === 0} onClick={() => count(0)}>
                  {words.allOut}
                </Button>
                <Button
                  look="quiet"
                  className="min-h-10"
                  disabled={leftPieces >= madePieces}
                  onClick={() => count(leftPieces + 1)}
                >
                  {words.oneBack}
                </Button>
              </div>
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-sm text-soft">{words.localRules}</p>
    </section>
  );
}
