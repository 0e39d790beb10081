'use client';
import { Check, RotateCcw, Scale } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import { toleranceG, type BakeAction } from '@/core/bake';
import type { BatchLine } from '@/core/batch';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/bench/WeighByScale';
import { useBook } from '../book/BookProvider';
import { useNow } from '../clock/useNow';
import { useInstrumentBoard, useInstruments } from '../instruments/InstrumentsProvider';
import { ScaleWatch, type Watched } from '../instruments/scaleWatch';
import { useUnits } from '../preferences/PreferencesProvider';
import type { Weighing } from './WeighOne';

interface WeighByScaleProps {
  readonly scaleId: string;
  readonly line: BatchLine;
  readonly stageName: string;
  readonly weighing: Weighing;
  readonly onDone: (action: BakeAction) => void;
  /** By eye, as where there is no scale that tells. */
  readonly byEye: ReactNode;
}

/** One thing to weigh on a scale that tells what it shows: what is still to go in counts down, and as much as is meant is taken by itself. */
export function WeighByScale({ scaleId, byEye, ...rest }: WeighByScaleProps) {
  const board = useInstrumentBoard();
  const book = useBook();
  const { line, weighing } = rest;
  const { isIn, isOut, wantedG, inG } = weighing;
  const mayDifferG = toleranceG(line, wantedG, book.get(line.ingredientId));
  // through a silence, too: what was put on before it is still on it after
  const watch = useMemo(() => new ScaleWatch(board, scaleId, { toGoG: wantedG - inG, toleranceG: mayDifferG }), [board, scaleId, wantedG, inG, mayDifferG]);
  useInstruments();
  // silence is told by nobody
  useNow(0, 0);
  const [eye, setEye] = useState(false);
  if (eye || isIn || isOut || wantedG <= inG || board.scale(scaleId) === null) return byEye;
  return <OnScale watch={watch} mayDifferG={mayDifferG} {...rest} onByEye={() => setEye(true)} />;
} // prettier-ignore

interface OnScaleProps extends Omit<WeighByScaleProps, 'byEye' | 'scaleId'> {
  readonly watch: ScaleWatch;
  readonly mayDifferG: number;
  readonly onByEye: () => void;
}

function OnScale({ watch, mayDifferG, line, stageName, weighing: { wantedG, inG }, onDone, onByEye }: OnScaleProps) {
  const units = useUnits();
  const toGoG = wantedG - inG;
  const seen = useSyncExternalStore(watch.subscribe, watch.read, NOT_SEEN);
  const onG = Math.round((seen?.onG ?? 0) * 100) / 100;
  const take = () => onDone({ type: 'weighed', lineId: line.id, massG: Math.round((inG + onG) * 100) / 100 });
  const taken = useRef(false);
  useEffect(() => {
    if (!seen?.isWeighed || taken.current) return;
    taken.current = true;
    take();
  });
  const leftG = toGoG - onG;
  const over = onG > toGoG + mayDifferG;
  const lifted = onG < 0 && (seen?.moved ?? false) && -onG > mayDifferG;
  // so much more than is meant is what it is weighed into
  const isBowl = over && onG > 2 * toGoG + 100;
  const figure = units.massShown(Math.abs(leftG));
  const may = seen !== null && seen.moved && seen.steady && onG > 0;
  return (
    <section aria-label={words.weighNow} className="docket flex flex-col rounded-b-xl p-5 sm:p-7 low:p-3" data-testid="by-scale">
      <p className="text-lg text-soft low:sr-only">{stageName}</p>
      <h2 className="text-4xl leading-tight sm:text-5xl low:text-3xl">{line.name}</h2>
      <p className="mt-5 flex items-baseline gap-3 low:mt-1" data-testid="to-go">
        <span className={cx('figure text-[clamp(5rem,22vw,10rem)] low:text-[6rem]', over && 'text-alarm')}>{figure.number}</span>
        <span className={cx('text-4xl', over ? 'font-semibold text-alarm' : 'text-soft')}>{over ? words.over(figure.unit) : words.toGo(figure.unit)}</span>
      </p>
      <Bar share={onG / toGoG} over={over} />
      <p className="mt-2 text-xl text-soft" data-testid="on-it">{words.onIt(units.mass(onG), units.mass(toGoG))}{inG > 0 && ` ${words.inAlready(units.mass(inG))}`}</p>
      {line.note && <p className="mt-2 text-xl">{line.note}</p>}
      <p className="mt-2 min-h-7 text-xl font-semibold" data-testid="scale-says">{says(seen, { over, lifted, isBowl })}</p>
      <div className="mt-4 grid gap-3 sm:grid-cols-[1fr_auto] low:mt-1">
        {isBowl ? (
          <Button look="now" size="wall" data-primary data-stays onClick={() => watch.beginHere()}><RotateCcw size={28} aria-hidden />{words.beginHere}</Button>
        ) : (
          <Button look="now" size="wall" data-primary data-stays disabled={!may} onClick={take}>
            <Check size={30} aria-hidden strokeWidth={3} />
            {may ? words.take(units.mass(onG)) : words.putItOn}
          </Button>
        )}
        <Button size="wall" className="text-xl" onClick={onByEye}><Scale size={24} aria-hidden />{words.byEye}</Button>
      </div>
      <div className="mt-3 flex flex-wrap gap-3">
        {isBowl && <Button size="bench" onClick={take}>{words.take(units.mass(onG))}</Button>}
        {may && !over && <Button size="bench" onClick={() => onDone({ type: 'weighedPart', lineId: line.id, massG: onG })}>{words.aPart}</Button>}
        {!isBowl && <Button size="bench" onClick={() => watch.beginHere()}><RotateCcw size={20} aria-hidden />{words.beginHere}</Button>}
      </div>
    </section>
  );
} // prettier-ignore

const NOT_SEEN = () => null;

function says(
  seen: Watched | null,
  { over, lifted, isBowl }: { over: boolean; lifted: boolean; isBowl: boolean },
): string {
  if (seen === null || seen.onG === null) return words.waits;
  if (seen.overload) return words.overload;
  if (lifted) return words.lifted;
  if (isBowl) return words.isBowl;
  if (seen.tooCoarse) return words.tooCoarse;
  if (seen.nearly) return words.nearly;
  return over ? words.tooMuch : '';
}

/** How much of it is on the scale: beside the figure, for the eye that pours. */
const Bar = ({ share, over }: { share: number; over: boolean }) => (
  <div aria-hidden className="mt-3 h-5 overflow-hidden rounded-full border border-edge bg-well">
    <div className={cx('h-full', over ? 'bg-alarm' : 'bg-now')} style={{ width: `${Math.min(100, Math.max(0, 100 * share))}%` }} />
  </div>
); // prettier-ignore
