'use client';
import { CakeSlice, CircleOff, Flag, Pause, Refrigerator, Scale, type LucideIcon } from 'lucide-react';
import { useState } from 'react';
import {
  canChangeTin,
  canChill,
  leavenToCome,
  lostCourse,
  yeastCourse,
  type BakeAction,
  type BakeRecord,
} from '@/core/bake';
import { AS_WRITTEN, withLever } from '@/core/day/levers';
import { allSteps } from '@/core/formula';
import { bakedAsOf } from '@/core/run';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { words } from '@/wording/screens/bench/CourseDialog';
import { useBook } from '../book/BookProvider';
import { useNow } from '../clock/useNow';
import { useStoredKit } from '../kit/KitProvider';
import { ColdChoice } from './ColdChoice';
import { TinChoice } from './TinChoice';
import type { Bench } from './useBench';
import type { Rising } from './useRise';

interface CourseDialogProps {
  readonly bake: BakeRecord;
  readonly bench: Bench;
  readonly rising: Rising | null;
  /** The step on the screen, or the next one. */
  readonly stepId: string | null;
  readonly nowMs: number;
  readonly onGiveUp: () => void;
  readonly onClose: () => void;
}

const HALF = 0.5;

/** What can be done otherwise from here on, one press each; only what is possible now is offered. */
export function CourseDialog({ bake, bench, rising, stepId, nowMs, onGiveUp, onClose }: CourseDialogProps) {
  const { state, tap } = bench;
  const book = useBook();
  const [part, setPart] = useState<'cold' | 'tin' | null>(null);
  const { tins } = useStoredKit().kit;
  // asked once: what is decided does not move while one decides
  const [atMs] = useState(useNow(bench.outbox.offsetMs, nowMs));
  const [problem, setProblem] = useState(false);
  const { sheet } = bake;
  const lost = stepId === null ? null : lostCourse(sheet, state, stepId);
  const take = (action: BakeAction) => {
    if (tap(action) === null) onClose();
  };
  const halve = () => {
    if (!rising) return;
    const { formula, kitchen } = rising;
    const made = withLever(formula, { ...AS_WRITTEN, yeast: HALF }, book, kitchen);
    const course = made.ok ? yeastCourse(sheet, state, HALF, allSteps(formula), allSteps(made.value), book) : null;
    if (course) take(course);
    else setProblem(true);
  };
  return (
    <Dialog onClose={onClose} title={words.title} hint={words.hint}>
      {part === 'tin' && rising ? (
        <TinChoice bake={bake} bench={bench} rising={rising} onDone={onClose} onBack={() => setPart(null)} />
      ) : part === 'cold' && stepId !== null ? (
        <ColdChoice bake={bake} bench={bench} rising={rising} stepId={stepId} nowMs={atMs} onDone={onClose} onBack={() => setPart(null)} />
      ) : (
        <div className="grid gap-3">
          {stepId !== null && canChill(sheet, state, stepId) && (
            <Choice icon={Refrigerator} name={words.fridge} why={words.fridgeWhy} onClick={() => setPart('cold')} />
          )}
          {rising && leavenToCome(sheet, state, book).length > 0 && (
            <Choice icon={Scale} name={words.halfYeast} why={problem ? words.cannot : words.halfYeastWhy} onClick={halve} />
          )}
          {rising && tins.length > 0 && !sheet.ways && bakedAsOf(rising.formula).shape === 'tin' && canChangeTin(sheet, state) && (
            <Choice icon={CakeSlice} name={words.tin} why={words.tinWhy} onClick={() => setPart('tin')} />
          )}
          {lost && <Choice icon={CircleOff} name={words.lost} why={words.lostWhy(lost.lostPieces ?? 1)} onClick={() => take(lost)} />}
          {!state.pause && <Choice icon={Pause} name={words.pause} why={words.pauseWhy} onClick={() => take({ type: 'paused' })} />}
          <Choice icon={Flag} name={words.giveUp} why={words.giveUpWhy} onClick={onGiveUp} />
        </div>
      )}
    </Dialog>
  );
} // prettier-ignore

interface ChoiceProps {
  readonly icon: LucideIcon;
  readonly name: string;
  readonly why: string;
  readonly onClick: () => void;
}

function Choice({ icon: Icon, name, why, onClick }: ChoiceProps) {
  return (
    <Button size="bench" className="justify-start gap-4 py-2 text-left" onClick={onClick}>
      <Icon size={26} aria-hidden className="shrink-0" />
      <span>
        <span className="block text-xl">{name}</span>
        <span className="block text-base font-normal text-soft">{why}</span>
      </span>
    </Button>
  );
}
