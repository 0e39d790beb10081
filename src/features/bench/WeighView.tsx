'use client';
import { Check } from 'lucide-react';
import { useEffect, useEffectEvent, useMemo, useState, type ComponentProps } from 'react';
import { inAlreadyG, onScaleBeforeG, stillToWeigh, targetG, wrongLine, type BakeRecord } from '@/core/bake';
import type { BakeAction } from '@/core/bake';
import type { BatchLine } from '@/core/batch';
import { isAskedFor } from '@/core/batch/askedFor';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { useBook } from '../book/BookProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { ScaleWay } from './ScaleWay';
import { vesselG } from './scaleStore';
import { useScale } from './useScale';
import { WeighOne } from './WeighOne';
import { useScaleAtHand } from '../instruments/scaleAtHand';
import { ScaleChoice } from '../instruments/ScaleChoice';
import { STAGE_WORD } from '@/wording/words';
import type { Bench } from './useBench';
import { words } from '@/wording/screens/bench/WeighView';
import { patiently } from '@/ui/patiently';
import dynamic from 'next/dynamic';

const LotsUsed = dynamic(
  patiently(() => import('./LotsUsed').then((module) => module.LotsUsed)),
  { ssr: false },
);
export const loadByScale = () => import('./WeighByScale').then((module) => module.WeighByScale);
const WeighByScale = dynamic(patiently(loadByScale), { ssr: false });
export const loadOutOfIt = () => import('./OutOfItDialog').then((module) => module.OutOfItDialog);
const OutOfItDialog = dynamic(patiently(loadOutOfIt), { ssr: false });
// what makes a mend knows every model of a dough: it is there by the time something is in
export const loadWrongAmount = () => import('./WrongAmountCard').then((module) => module.WrongAmountCard);
const WrongAmountCard = dynamic(patiently(loadWrongAmount), { ssr: false });
const EaterChecks = dynamic(
  patiently(() => import('../eaters/EaterChecks').then((module) => module.EaterChecks)),
  { ssr: false },
);

interface WeighViewProps {
  bake: BakeRecord;
  bench: Bench;
  onSteps: () => void;
  /** To whatever is next. */
  onAllIn: () => void;
}

/** One thing to weigh at a time, very large; the whole list beneath, ticked or not, tappable in any order. */
export function WeighView({ bake, bench, onSteps, onAllIn }: WeighViewProps) {
  const { state, tap } = bench;
  const units = useUnits();
  const [chosen, setChosen] = useState<string | null>(null);
  const [scale, setScale] = useScale();
  const [ticked, setTicked] = useState(false);
  const [outOf, setOutOf] = useState<BatchLine | null>(null);
  const lines = bake.sheet.stages.flatMap((stage) => stage.lines);
  const open = stillToWeigh(bake.sheet, state);
  const current = lines.find(({ id }) => id === chosen) ?? open.now[0] ?? null;
  const [opened] = useState(current?.id);

  const book = useBook();
  const wrong = useMemo(() => wrongLine(bake.sheet, state, book), [bake.sheet, state, book]);

  const isIn = current !== null && state.weighed.has(current.id) && !state.dueAgain.has(current.id);
  const toGoG = current ? Math.abs(targetG(current, state) - (isIn ? 0 : inAlreadyG(current.id, state))) : 0;
  // a wrong amount announces itself
  const asked =
    wrong && chosen === null
      ? ''
      : current
        ? words.nowWeigh(current.name, units.mass(toGoG))
        : words.allInTheBowl;

  // what a step waited for is in: back to it, unless something is to be said about it first
  const isAllIn = ticked && open.now.length === 0 && wrong === null && chosen === null;
  const goOn = useEffectEvent(onAllIn);
  useEffect(() => {
    if (isAllIn) goOn();
  }, [isAllIn]);

  const done = (action: BakeAction) => {
    if (tap(action)) return;
    setTicked(true);
    setChosen(null);
  };

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] landscape:max-lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <p role="status" className="sr-only">
        {asked}
      </p>
      {wrong && chosen === null ? (
        <WrongAmountCard
          key={`${wrong.line.id} ${wrong.isG}`}
          sheet={bake.sheet}
          state={state}
          onMend={done}
        />
      ) : current ? (
        <OneLine
          key={`${current.id} ${state.weighed.has(current.id)}`}
          line={current}
          stageName={bake.sheet.stages.find(({ lines: inside }) => inside.includes(current))?.name ?? ''}
          weighing={{
            wantedG: targetG(current, state),
            inG: inAlreadyG(current.id, state),
            isIn,
            isOut: state.leftOut.has(current.id),
            parts: state.parts.get(current.id)?.length ?? 0,
            beforeG:
              scale.way === 'running'
                ? onScaleBeforeG(bake.sheet, state, current.id, vesselG(scale))
                : vesselG(scale),
          }}
          running={scale.way === 'running'}
          exchanged={ticked || (current.id !== opened && current.id !== chosen)}
          followed={ticked}
          onDone={done}
          onOutOfIt={() => setOutOf(current)}
        />
      ) : (
        <section className="docket rounded-b-xl p-6">
          <p className="figure text-5xl">{open.later.length > 0 ? words.inForNow : words.allInTheBowl}</p>
          <p className="mt-3 text-lg text-soft">
            {open.later.length > 0
              ? words.later(open.later.map(({ name }) => name).join(', '))
              : words.everyLineIsTickedOn}
          </p>
          <Button look="now" size="wall" className="mt-6 w-full" onClick={onSteps}>
            {words.toTheSteps}
          </Button>
        </section>
      )}
      <section aria-label={words.everythingToWeigh}>
        <EaterChecks stages={bake.sheet.stages} brief className="mb-3" />
        <ScaleChoice />
        <ScaleWay scale={scale} onScale={setScale} />
        {bake.sheet.stages.map((stage) => (
          <div key={stage.id} className="mb-4">
            <h2 className="text-base text-soft">{stage.name || STAGE_WORD[stage.kind]}</h2>
            <ul>
              {stage.lines.map((line) => {
                const weighed = state.weighed.get(line.id);
                return (
                  <ListedLine
                    key={line.id}
                    line={line}
                    wantedG={targetG(line, state)}
                    weighedG={state.dueAgain.has(line.id) ? null : (weighed?.massG ?? null)}
                    out={state.leftOut.has(line.id)}
                    now={line.id === current?.id}
                    onChoose={() => setChosen(line.id)}
                  />
                );
              })}
            </ul>
          </div>
        ))}
        {outOf && (
          <OutOfItDialog
            line={outOf}
            sheet={bake.sheet}
            state={state}
            onClose={() => setOutOf(null)}
            onDone={(actions) => {
              setOutOf(null);
              actions.forEach(done);
            }}
          />
        )}
        <LotsUsed bake={bake} state={state} tap={tap} size="bench" />
      </section>
    </div>
  );
}

/** By a scale that tells, where one is at hand; else by eye. */
function OneLine(props: ComponentProps<typeof WeighOne>) {
  const [scaleId] = useScaleAtHand();
  const byEye = <WeighOne {...props} />;
  if (scaleId === null) return byEye;
  return <WeighByScale {...props} key={`${props.weighing.inG} ${props.weighing.wantedG}`} scaleId={scaleId} byEye={byEye} />;
} // prettier-ignore

interface ListedLineProps {
  line: BatchLine;
  wantedG: number;
  weighedG: number | null;
  out: boolean;
  now: boolean;
  onChoose: () => void;
}

function ListedLine({ line, wantedG, weighedG, out, now, onChoose }: ListedLineProps) {
  const units = useUnits();
  const weighed = weighedG !== null;
  const notToday =
    !weighed && (out ? words.leftOut : line.heldBack ? words.heldBack : line.later && words.anotherDay);
  return (
    <li className="border-t border-rule">
      <button
        type="button"
        onClick={onChoose}
        aria-current={now ? 'step' : undefined}
        aria-label={`${line.name}, ${units.mass(weighedG ?? wantedG)}${weighed ? words.andIsInTheBowl : notToday ? `, ${notToday}` : ''}`}
        className={cx('flex min-h-13 w-full items-center gap-3 px-2 text-left text-lg', now && 'bg-well')}
      >
        <span
          aria-hidden
          className={cx(
            'flex size-7 shrink-0 items-center justify-center rounded-full border-2',
            weighed ? 'border-ink bg-ink text-surface' : 'border-edge',
          )}
        >
          {weighed && <Check size={18} strokeWidth={3} />}
        </span>
        <span className={cx('min-w-0 flex-1', (weighed || out || !isAskedFor(line)) && 'text-soft')}>
          {line.name}
          {notToday && <span className="block text-sm">{notToday}</span>}
        </span>
        <span className="text-right whitespace-nowrap">
          {units.mass(weighedG ?? wantedG)}
          {(weighedG ?? wantedG) !== line.massG && (
            <span className="block text-sm text-soft">{words.planned(units.mass(line.massG))}</span>
          )}
        </span>
      </button>
    </li>
  );
}
