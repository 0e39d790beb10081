'use client';
import { Check, Pencil, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { onScaleBeforeG, stillToWeigh, type BakeRecord } from '@/core/bake';
import type { BatchLine } from '@/core/batch';
import { isAskedFor } from '@/core/batch/askedFor';
import { within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { cx } from '@/ui/cx';
import { Segmented } from '@/ui/Segmented';
import { useSteady } from '@/ui/useSteady';
import { BesideGramsChoice, useInMeasures } from '../measured/InMeasures';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { STAGE_WORD } from '@/wording/words';
import type { Bench } from './useBench';
import { words } from '@/wording/screens/bench/WeighView';
import { patiently } from '@/ui/patiently';
import dynamic from 'next/dynamic';

const LotsUsed = dynamic(
  patiently(() => import('./LotsUsed').then((module) => module.LotsUsed)),
  { ssr: false },
);
const EaterChecks = dynamic(
  patiently(() => import('../eaters/EaterChecks').then((module) => module.EaterChecks)),
  { ssr: false },
);

interface WeighViewProps {
  bake: BakeRecord;
  bench: Bench;
  onSteps: () => void;
}

/** One thing to weigh at a time, very large; the whole list beneath, ticked or not, tappable in any order. */
export function WeighView({ bake, bench, onSteps }: WeighViewProps) {
  const { state, tap } = bench;
  const units = useUnits();
  const [chosen, setChosen] = useState<string | null>(null);
  const [running, setRunning] = useState(false);
  const [vesselG, setVesselG] = useState(0);
  const [ticked, setTicked] = useState(false);
  const lines = bake.sheet.stages.flatMap((stage) => stage.lines);
  const open = stillToWeigh(bake.sheet, state);
  const current = lines.find(({ id }) => id === chosen) ?? open.now[0] ?? null;

  const weigh = (line: BatchLine, massG: number) => {
    const problem = tap({ type: 'weighed', lineId: line.id, massG });
    if (problem) return;
    setTicked(true);
    setChosen(null);
  };

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] landscape:max-lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <p role="status" className="sr-only">
        {current ? words.nowWeigh(current.name, units.mass(current.massG)) : words.allInTheBowl}
      </p>
      {current ? (
        <OneThing
          key={current.id}
          line={current}
          stageName={bake.sheet.stages.find(({ lines: inside }) => inside.includes(current))?.name ?? ''}
          weighedG={state.weighed.get(current.id)?.massG ?? null}
          beforeG={running ? onScaleBeforeG(bake.sheet, state, current.id, vesselG) : 0}
          running={running}
          exchanged={ticked}
          onWeigh={(massG) => weigh(current, massG)}
          onUntick={() => {
            tap({ type: 'unweighed', lineId: current.id });
            setChosen(null);
          }}
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
        <ScaleUse running={running} onRunning={setRunning} vesselG={vesselG} onVessel={setVesselG} />
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
                    weighedG={weighed?.massG ?? null}
                    now={line.id === current?.id}
                    onChoose={() => setChosen(line.id)}
                  />
                );
              })}
            </ul>
          </div>
        ))}
        <LotsUsed bake={bake} state={state} tap={tap} size="bench" />
      </section>
    </div>
  );
}

interface ScaleUseProps {
  running: boolean;
  onRunning: (running: boolean) => void;
  vesselG: number;
  onVessel: (massG: number) => void;
}

/** How the scale is read, and what stands beside the grams. */
function ScaleUse({ running, onRunning, vesselG, onVessel }: ScaleUseProps) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <Segmented
        label={words.howTheScaleIsUsed}
        size="bench"
        value={running ? 'running' : 'zero'}
        onChange={(value) => onRunning(value === 'running')}
        options={[
          { value: 'zero', label: words.zeroEachTime },
          { value: 'running', label: words.runningTotal },
        ]}
      />
      {running && <VesselCell vesselG={vesselG} onChange={onVessel} />}
      <BesideGramsChoice />
    </div>
  );
}

interface ListedLineProps {
  line: BatchLine;
  weighedG: number | null;
  now: boolean;
  onChoose: () => void;
}

function ListedLine({ line, weighedG, now, onChoose }: ListedLineProps) {
  const units = useUnits();
  const weighed = weighedG !== null;
  const notToday = !weighed && (line.heldBack ? words.heldBack : line.later && words.anotherDay);
  return (
    <li className="border-t border-rule">
      <button
        type="button"
        onClick={onChoose}
        aria-current={now ? 'step' : undefined}
        aria-label={`${line.name}, ${units.mass(weighedG ?? line.massG)}${weighed ? words.andIsInTheBowl : notToday ? `, ${notToday}` : ''}`}
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
        <span className={cx('min-w-0 flex-1', (weighed || !isAskedFor(line)) && 'text-soft')}>
          {line.name}
          {notToday && <span className="block text-sm">{notToday}</span>}
        </span>
        <span className="text-right whitespace-nowrap">
          {units.mass(weighedG ?? line.massG)}
          {weighed && weighedG !== line.massG && (
            <span className="block text-sm text-soft">{words.planned(units.mass(line.massG))}</span>
          )}
        </span>
      </button>
    </li>
  );
}

function VesselCell({ vesselG, onChange }: { vesselG: number; onChange: (massG: number) => void }) {
  const units = useUnits();
  const { preferences } = usePreferences();
  return (
    <label className="flex items-center gap-2 text-lg">
      {words.bowl}
      <Cell
        size="bench"
        label={words.weightOfTheEmptyBowl}
        unit={units.massUnit}
        className="w-36"
        value={units.massCell(vesselG)}
        onType={(text) => {
          const typed = units.parseMass(text);
          const value = typed.ok ? within(typed.value, { min: 0, max: 50_000 }, 'massG') : typed;
          if (!value.ok) return wordProblem(value.problem, preferences);
          onChange(value.value);
          return null;
        }}
      />
    </label>
  );
}

interface OneThingProps {
  line: BatchLine;
  stageName: string;
  weighedG: number | null;
  beforeG: number;
  running: boolean;
  exchanged: boolean;
  onWeigh: (massG: number) => void;
  onUntick: () => void;
}

function OneThing({
  line,
  stageName,
  weighedG,
  beforeG,
  running,
  exchanged,
  onWeigh,
  onUntick,
}: OneThingProps) {
  const steady = useSteady(exchanged);
  const primary = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // the button that was pressed is gone with its line: the next one has the focus as soon as it can be pressed
    if (exchanged && steady && document.activeElement === document.body)
      primary.current?.focus({ preventScroll: true });
  }, [exchanged, steady]);
  const units = useUnits();
  const { preferences } = usePreferences();
  const measured = useInMeasures()(line);
  const [other, setOther] = useState(weighedG !== null);
  // what the display shows; the line's own grams are that less what stood on the scale before
  const [shownG, setShownG] = useState<number | null>(null);
  const [unreadable, setUnreadable] = useState(false);
  const actualG = shownG === null ? (weighedG ?? line.massG) : shownG - beforeG;
  const typed = (text: string): string | null => {
    const mass = units.parseMass(text);
    const value = mass.ok ? within(mass.value - beforeG, { min: 0.01, max: 1_000_000 }, 'massG') : mass;
    setUnreadable(!value.ok);
    if (!value.ok)
      return running && mass.ok
        ? words.theDisplayReadsMoreThan(units.mass(beforeG))
        : wordProblem(value.problem, preferences);
    setShownG(value.value + beforeG);
    return null;
  };
  return (
    <section aria-label={words.weighNow} className="docket flex flex-col rounded-b-xl p-5 sm:p-7 low:p-3">
      <p className="text-lg text-soft low:sr-only">{stageName}</p>
      <h2 className="text-4xl leading-tight sm:text-5xl low:text-3xl">{line.name}</h2>
      <p className="mt-5 flex items-baseline gap-3 low:mt-1" data-testid="target">
        <span className="figure text-[clamp(5rem,22vw,10rem)] low:text-[6rem]">
          {units.massShown(beforeG + line.massG).number}
        </span>
        <span className="text-4xl text-soft">{units.massShown(beforeG + line.massG).unit}</span>
      </p>
      {measured && (
        <p className="mt-1 text-2xl font-semibold" data-testid="counts">
          {measured}
        </p>
      )}
      {running && (
        <p className="mt-2 text-xl text-soft">
          {words.onTheDisplayThere(units.mass(beforeG), units.mass(line.massG))}
        </p>
      )}
      {line.note && <p className="mt-2 text-xl">{line.note}</p>}
      {other && (
        <div className="mt-5">
          <span className="text-lg font-semibold">{running ? words.theDisplayReads : words.itWeighs}</span>
          <Cell
            size="bench"
            label={running ? words.whatTheDisplayReads : words.whatItReallyWeighs}
            testId="actual"
            unit={units.massUnit}
            value={units.massCell(actualG + beforeG)}
            onType={typed}
            className="mt-1"
          />
        </div>
      )}
      <div className="mt-6 grid gap-3 sm:grid-cols-[1fr_auto] low:mt-2">
        <Button
          look="now"
          size="wall"
          data-primary
          ref={primary}
          className={steady ? '' : 'disabled:opacity-100'}
          disabled={!steady || unreadable || (weighedG !== null && actualG === weighedG)}
          onClick={() => onWeigh(Math.round(actualG * 100) / 100)}
        >
          <Check size={30} aria-hidden strokeWidth={3} />
          {weighedG === null ? words.inTheBowl : words.correctIt}
        </Button>
        {weighedG === null ? (
          <Button size="wall" className="text-xl" onClick={() => setOther(!other)} aria-expanded={other}>
            <Pencil size={24} aria-hidden />
            {words.otherWeight}
          </Button>
        ) : (
          <Button size="wall" className="text-xl" onClick={onUntick}>
            <Undo2 size={24} aria-hidden />
            {words.notInYet}
          </Button>
        )}
      </div>
    </section>
  );
}
