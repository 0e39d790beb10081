'use client';
import {
  leftoversOf,
  stockOf,
  type BakeAction,
  type BakeRecord,
  type BakeState,
  type Leftover,
  type Stock,
} from '@/core/bake';
import type { Problem } from '@/core/result';
import { formatDuration, formatDurationRange } from '@/core/units';
import { Button } from '@/ui/Button';
import { KEPT_WORD, PUT_BY_WORD, STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/logbook/PutBy';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';

interface PutByProps {
  bake: BakeRecord;
  state: BakeState;
  tap: (action: BakeAction) => Problem | null;
  nowMs: number;
}

/** What of a bake was put by or left over, how much of it there is and until when it is good; taken out here, piece by piece or all of it. */
export function PutBy({ bake, state, tap, nowMs }: PutByProps) {
  const stock = stockOf(bake.sheet, state);
  const leftovers = leftoversOf(bake.sheet, state);
  if (stock.length + leftovers.length === 0) return null;
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
        {stock.map((each) => (
          <Pieces key={each.wayId} of={each} sheet={bake.sheet} tap={tap} nowMs={nowMs} />
        ))}
        {leftovers.map((each) => (
          <Rest key={each.stageId} of={each} tap={tap} nowMs={nowMs} />
        ))}
      </ul>
      <p className="mt-1 text-sm text-soft">{words.localRules}</p>
    </section>
  );
}

function GoodUntil({ bestByMs, nowMs }: { bestByMs: number; nowMs: number }) {
  const time = useKitchenTime();
  const past = nowMs > bestByMs;
  return (
    <p className={past ? 'text-sm font-semibold text-alarm' : 'text-sm text-soft'}>
      {(past ? words.pastItsTime : words.goodUntil)(time.dayAndYear(bestByMs))}
    </p>
  );
}

interface TakeOutProps {
  left: number;
  made: number;
  one: number;
  count: (left: number) => void;
}

/** One out, all out, one back: what a hand at the freezer does. */
function TakeOut({ left, made, one, count }: TakeOutProps) {
  return (
    <div className="no-print mt-1 flex flex-wrap gap-2">
      <Button className="min-h-10" disabled={left <= 0} onClick={() => count(Math.max(0, left - one))}>
        {words.oneOut}
      </Button>
      <Button className="min-h-10" disabled={left <= 0} onClick={() => count(0)}>
        {words.allOut}
      </Button>
      <Button
        look="quiet"
        className="min-h-10"
        disabled={left >= made}
        onClick={() => count(Math.min(made, left + one))}
      >
        {words.oneBack}
      </Button>
    </div>
  );
}

interface PiecesProps {
  of: Stock;
  sheet: BakeRecord['sheet'];
  tap: PutByProps['tap'];
  nowMs: number;
}

function Pieces({ of, sheet, tap, nowMs }: PiecesProps) {
  const { wayId, name, as, leftPieces, madePieces, bestByMs } = of;
  return (
    <li className="border-t border-rule py-2">
      <p>
        <span className="figure text-3xl">{leftPieces}</span>{' '}
        {words.leftOf(madePieces, name, PUT_BY_WORD[as])}
      </p>
      <GoodUntil bestByMs={bestByMs} nowMs={nowMs} />
      <TakeOut
        left={leftPieces}
        made={madePieces}
        one={1}
        count={(left) => void tap({ type: 'stockCounted', wayId, leftPieces: left })}
      />
      <Finish of={of} sheet={sheet} nowMs={nowMs} />
    </li>
  );
}

/** What is done to them on the day they are taken out, and when they would be ready if that were now. */
function Finish({ of, sheet, nowMs }: Omit<PiecesProps, 'tap'>) {
  const units = useUnits();
  const time = useKitchenTime();
  const { later = [] } = sheet.ways?.find(({ wayId }) => wayId === of.wayId) ?? {};
  const lines = sheet.stages.flatMap((stage) => stage.lines.filter((line) => line.later));
  if (later.length === 0) return null;
  return (
    <div className="mt-2 text-sm" data-testid="finish">
      <p>
        <strong>{words.takenOutNow(time.dayAndClock(nowMs + 1000 * of.finishS))}</strong>{' '}
        {words.inAll(formatDuration(Math.round(of.finishS / 300) * 300))}
      </p>
      <ol className="mt-1 list-decimal pl-5">
        {later.map(({ id, kind, title, minS, maxS, tempC, until }) => (
          <li key={id}>
            <strong>{STEP_WORD[kind]}</strong>{' '}
            {[
              title,
              minS === null ? '' : formatDurationRange(minS, maxS),
              tempC === null ? '' : units.temperature(tempC),
              until && words.until(until),
            ]
              .filter(Boolean)
              .join(', ')}
          </li>
        ))}
      </ol>
      {lines.length > 0 && (
        <p className="mt-1">
          {words.then(lines.map(({ name, massG }) => `${name} ${units.mass(massG)}`).join(', '))}
        </p>
      )}
    </div>
  );
}

/** What no piece took of a sauce or filling. */
function Rest({ of, tap, nowMs }: { of: Leftover; tap: PutByProps['tap']; nowMs: number }) {
  const units = useUnits();
  const { stageId, name, place, leftG, madeG, perPieceG, bestByMs } = of;
  return (
    <li className="border-t border-rule py-2">
      <p>
        <span className="figure text-3xl">{units.mass(Math.round(leftG))}</span>{' '}
        {words.restOf(name, KEPT_WORD[place])}{' '}
        <span className="text-soft">{words.enoughFor(Math.floor(leftG / perPieceG + 0.05))}</span>
      </p>
      <GoodUntil bestByMs={bestByMs} nowMs={nowMs} />
      <TakeOut
        left={leftG}
        made={madeG}
        one={perPieceG}
        count={(left) => void tap({ type: 'leftoverCounted', stageId, leftG: left })}
      />
    </li>
  );
}
