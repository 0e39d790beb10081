'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { DayDocument } from '@/core/day/dayDocument';
import type { DayView } from '@/core/day/dayView';
import type { Problem } from '@/core/result';
import { makeDayWorker, type DayPort } from '@/workers/makeDayWorker';
import type { DayQuestion } from '@/workers/dayProtocol';

export interface DayPlanning {
  /** Null: nothing is planned, or nothing is known yet. */
  readonly view: DayView | null;
  readonly looking: boolean;
  readonly problem: Problem | null;
  readonly broken: boolean;
}

interface Answer {
  /** What it answers. */
  readonly key: string;
  readonly done: boolean;
  readonly view: DayView | null;
  readonly problem: Problem | null;
  readonly broken: boolean;
}

type Around = Omit<DayQuestion, 'id' | 'forMs' | 'day'>;

/** A plan is looked for so long after something is wanted otherwise; and where only time went on. */
const LOOK_MS = 2500;
const GLANCE_MS = 600;
const SLOT_MS = 300_000;

/** What a day is wanted as, without where it lies by now: only a change of that asks for another plan. */
const wantedOf = ({ batches, notHot }: DayDocument): string =>
  JSON.stringify([
    notHot,
    batches.map(({ at, variantId: _, softens: __, ...wanted }) => [wanted, Object.keys(at).length > 0]),
  ]);

/**
 * Has a day laid out, in a thread of its own: anew whenever something else is wanted, whenever the bench or the clock says so; each plan is shown as soon as it
 * is there.
 */
export function useDayPlan(day: DayDocument, around: Around): DayPlanning {
  const [answer, setAnswer] = useState<Answer>({
    key: '',
    done: false,
    view: null,
    problem: null,
    broken: false,
  });
  const port = useRef<DayPort | null>(null);
  const ids = useRef(0);
  const { life, kit, formulas, bakes, starters, nowMs } = around;
  const wanted = wantedOf(day);
  const told = useMemo(
    () =>
      JSON.stringify([
        life,
        kit,
        bakes,
        starters,
        formulas.map(({ formulaId, revision }) => [formulaId, revision]),
      ]),
    [life, kit, bakes, starters, formulas],
  );
  const key = `${wanted} ${told}`;
  const slot = Math.floor(nowMs / SLOT_MS);
  const before = useRef('');
  useEffect(() => {
    const forMs = key === before.current ? GLANCE_MS : LOOK_MS;
    before.current = key;
    ids.current += 1;
    const id = ids.current;
    port.current ??= makeDayWorker();
    port.current.onerror = () => setAnswer((was) => ({ ...was, key, done: true, broken: true }));
    port.current.onmessage = ({ data }) => {
      if (data.id !== ids.current) return;
      if (data.kind === 'refused')
        setAnswer({ key, done: true, view: null, problem: data.problem, broken: false });
      else if (data.kind === 'broke') setAnswer((was) => ({ ...was, key, done: true, broken: true }));
      else setAnswer({ key, done: data.kind === 'done', view: data.view, problem: null, broken: false });
    };
    port.current.postMessage({ ...around, id, day, forMs });
    // the day's places change with every plan: they are an answer, no question
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, slot]);
  useEffect(
    () => () => {
      port.current?.terminate();
      port.current = null;
    },
    [],
  );
  const { view, problem, broken } = answer;
  return { view, problem, broken, looking: answer.key !== key || !answer.done };
}
