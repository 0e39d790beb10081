'use client';
import { Check, Pencil, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { BakeAction } from '@/core/bake';
import type { BatchLine } from '@/core/batch';
import { within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { useSteady } from '@/ui/useSteady';
import { useTwice } from '@/ui/useTwice';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/WeighView';
import { useInMeasures } from '../measured/InMeasures';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';

/** How far one line is. */
export interface Weighing {
  /** How much of it is meant to be in. */
  readonly wantedG: number;
  /** What of it is in: weighed, or by parts. */
  readonly inG: number;
  /** In as it is meant: it can only be corrected. */
  readonly isIn: boolean;
  readonly isOut: boolean;
  readonly parts: number;
  /** What stands on the scale before any of it. */
  readonly beforeG: number;
}

interface WeighOneProps {
  readonly line: BatchLine;
  readonly stageName: string;
  readonly weighing: Weighing;
  /** The display goes on: what is in of it already stands there too. */
  readonly running: boolean;
  /** It stands where another stood, whoever pressed that away. */
  readonly exchanged: boolean;
  /** What was before it was pressed away here. */
  readonly followed: boolean;
  readonly onDone: (action: BakeAction) => void;
  /** There is none, or no more, of it. */
  readonly onOutOfIt: () => void;
}

const hundredths = (massG: number): number => Math.round(massG * 100) / 100;

/** One thing to weigh, very large: what the display has to show, and that it does. */
export function WeighOne({ line, stageName, weighing, running, exchanged, followed, onDone, onOutOfIt }: WeighOneProps) {
  const { wantedG, inG, isIn, isOut, parts } = weighing;
  const steady = useSteady(exchanged);
  const primary = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // the button that was pressed is gone with its line: the next one has the focus as soon as it can be pressed
    if (followed && steady && document.activeElement === document.body) primary.current?.focus({ preventScroll: true });
  }, [followed, steady]);
  const units = useUnits();
  const { preferences } = usePreferences();
  // what is left to go in is told in measures only while nothing of it is in
  const measured = useInMeasures()(inG === 0 && wantedG !== line.massG ? { ingredientId: line.ingredientId, massG: wantedG } : line);
  const [other, setOther] = useState(isIn);
  const [unreadable, setUnreadable] = useState(false);
  // what the display shows; what is in of the line altogether is that less what stood there, and more by what is in but not on the scale
  const [shownG, setShownG] = useState<number | null>(null);
  const beforeG = weighing.beforeG + (running || isIn ? 0 : -inG);
  const wholeG = shownG === null ? (isIn ? inG : wantedG) : shownG - beforeG;
  const typed = (text: string): string | null => {
    const mass = units.parseMass(text);
    const value = mass.ok ? within(mass.value - beforeG, { min: 0.01, max: 1_000_000 }, 'weighedG') : mass;
    setUnreadable(!value.ok);
    if (!value.ok) return weighing.beforeG > 0 && mass.ok ? words.theDisplayReadsMoreThan(units.mass(beforeG)) : wordProblem(value.problem, preferences);
    setShownG(value.value + beforeG);
    return null;
  };
  const target = units.massShown(Math.abs(beforeG + wantedG));
  const comesOut = !isIn && wantedG < inG;
  return (
    <section aria-label={words.weighNow} className="docket flex flex-col rounded-b-xl p-5 sm:p-7 low:p-3">
      <p className="text-lg text-soft low:sr-only">{stageName}</p>
      <h2 className="text-4xl leading-tight sm:text-5xl low:text-3xl">{line.name}</h2>
      {comesOut && <p className="mt-2 text-2xl font-semibold text-alarm">{words.takeOut}</p>}
      <p className="mt-5 flex items-baseline gap-3 low:mt-1" data-testid="target">
        <span className="figure text-[clamp(5rem,22vw,10rem)] low:text-[6rem]">{target.number}</span>
        <span className="text-4xl text-soft">{target.unit}</span>
      </p>
      {measured && inG === 0 && <p className="mt-1 text-2xl font-semibold" data-testid="counts">{measured}</p>}
      {weighing.beforeG > 0 && <p className="mt-2 text-xl text-soft">{words.onTheDisplayThere(units.mass(weighing.beforeG), units.mass(Math.abs(beforeG + wantedG - weighing.beforeG)))}</p>}
      {!isIn && inG > 0 && <p className="mt-2 text-xl text-soft" data-testid="in-already">{words.inAlready(units.mass(inG), units.mass(wantedG))}</p>}
      {line.note && <p className="mt-2 text-xl">{line.note}</p>}
      {isOut && <p className="mt-2 text-xl font-semibold">{words.leftOut}</p>}
      {other && (
        <div className="mt-5">
          <span className="text-lg font-semibold">{weighing.beforeG > 0 ? words.theDisplayReads : words.itWeighs}</span>
          <Cell size="bench" label={weighing.beforeG > 0 ? words.whatTheDisplayReads : words.whatItReallyWeighs} testId="actual" unit={units.massUnit}
            value={units.massCell(wholeG + beforeG)} onType={typed} className="mt-1" />
        </div>
      )}
      <div className="mt-6 grid gap-3 sm:grid-cols-[1fr_auto] low:mt-1">
        <Button look="now" size="wall" data-primary ref={primary} className={steady ? '' : 'disabled:opacity-100'}
          disabled={!steady || unreadable || (isIn && hundredths(wholeG) === inG)} onClick={() => onDone({ type: 'weighed', lineId: line.id, massG: hundredths(wholeG) })}>
          <Check size={30} aria-hidden strokeWidth={3} />
          {isIn ? words.correctIt : comesOut ? words.itIsOut : words.inTheBowl}
        </Button>
        {isIn || isOut || parts > 0 ? (
          <Button size="wall" className="text-xl" onClick={() => onDone({ type: 'unweighed', lineId: line.id })}>
            <Undo2 size={24} aria-hidden />
            {isOut ? words.itGoesIn : words.notInYet}
          </Button>
        ) : (
          <Button size="wall" className="text-xl" onClick={() => setOther(!other)} aria-expanded={other}>
            <Pencil size={24} aria-hidden />
            {words.otherWeight}
          </Button>
        )}
      </div>
      {!isIn && !isOut && (
        <NotAll open={other} onOpen={() => setOther(true)} parts={parts} nothingIn={inG === 0} onOutOfIt={onOutOfIt} onLeftOut={() => onDone({ type: 'leftOut', lineId: line.id })}
          onPart={!steady || unreadable || wholeG <= inG ? null : () => onDone({ type: 'weighedPart', lineId: line.id, massG: hundredths(wholeG - inG) })} />
      )}
    </section>
  );
} // prettier-ignore

interface NotAllProps {
  /** Another weight is being typed. */
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly parts: number;
  readonly nothingIn: boolean;
  /** Null: what is typed is no part. */
  readonly onPart: (() => void) | null;
  readonly onOutOfIt: () => void;
  readonly onLeftOut: () => void;
}

/** Not all of it goes in now: a part, not enough of it, or none, which takes two presses. */
function NotAll({ open, onOpen, parts, nothingIn, onPart, onOutOfIt, onLeftOut }: NotAllProps) {
  const leaving = useTwice();
  if (!open && parts === 0) return null;
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      {open && <Button size="bench" disabled={onPart === null} onClick={() => onPart?.()}>{words.aPart}</Button>}
      <Button size="bench" onClick={onOutOfIt}>{words.outOfIt}</Button>
      {!open && <Button size="bench" onClick={onOpen}>{words.otherWeight}</Button>}
      {nothingIn && (
        <Button size="bench" look={leaving.asked ? 'alarm' : 'plain'} onClick={() => leaving.press() && onLeftOut()}>
          {leaving.asked ? words.yesLeaveItOut : words.leaveItOut}
        </Button>
      )}
    </div>
  );
} // prettier-ignore
