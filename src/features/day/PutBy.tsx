'use client';
import type { DayBatchDocument } from '@/core/day/dayDocument';
import { words } from '@/wording/screens/day/PutBy';
import { bestUntil, PUT_BY_WORD } from '@/wording/words';
import { useKitchenTime } from '../preferences/time';
import { useDayValue } from './DayContext';

export type TakenOutOfDay = NonNullable<DayBatchDocument['takenOut']>;

interface PutByProps extends Pick<TakenOutOfDay, 'as' | 'leftPieces' | 'madeAtMs' | 'bestByMs'> {
  /** Null: nobody has said yet how many. */
  readonly pieces: number | null;
}

/** What is taken out: how it was put by, when it was made, until when it is good. */
export function PutBy({ as, leftPieces, madeAtMs, bestByMs, pieces }: PutByProps) {
  const time = useKitchenTime();
  const { nowMs } = useDayValue();
  const isPast = bestByMs < nowMs;
  return (
    <p className="mt-1 text-sm" data-testid="taken-out">
      {pieces === null ? words.thereAre(leftPieces, PUT_BY_WORD[as]) : words.out(pieces, leftPieces, PUT_BY_WORD[as])}{' '}
      <span className="text-soft">{words.madeOn(time.dayAndYear(madeAtMs))}</span>{' '}
      <span className={isPast ? 'font-semibold text-alarm' : 'text-soft'}>{bestUntil(time.dayAndYear(bestByMs), isPast)}.</span>
    </p>
  );
} // prettier-ignore
