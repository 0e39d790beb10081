'use client';
import { useDeferredValue, useMemo, useState } from 'react';
import { ovenFor } from '@/core/kit';
import { keepingsOf, bakedAsOf, runOf, stepOfProblem, supposing, timeAxis } from '@/core/run';
import { allLines, asWay, type FormulaEdit } from '@/core/formula';
import { useBook, useNameOf } from '../book/BookProvider';
import { useSheetActions, useSheetRun, useSheetState, useTaught, useWay } from '../sheet/SheetContext';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { Choice } from '@/ui/Choice';
import { STEP_WORD } from '@/wording/words';
import { formulaAnswers } from '@/core/notices';
import { BakeProblem } from './BakeProblem';
import { useWidth } from '@/ui/useWidth';
import { LearntLine } from './Learnt';
import { PieceSettings } from './PieceSettings';
import { ProbeFit } from './ProbeFit';
import { RunAnswers } from './RunAnswers';
import { CHART_HEIGHT, RunChart } from './RunChart';
import { Schools } from './Schools';
import { StepDials } from './StepDials';
import { TakenFor } from './TakenFor';
import { useRunForecast } from './useRunForecast';
import { supposables, WhatIfs } from './WhatIfs';
import { bakeWayAs, WhichBread } from './WhichBread';
import { words } from '@/wording/screens/run/RunPanel';

/** Not in the heat a bake is counted by. */
const OUT: ReadonlySet<string> = new Set(['rack', 'boil']);
const NOTHING_YET = {
  forecast: null,
  problem: null,
  computing: null,
  broken: false,
  learning: null,
  slices: null,
};
const YEASTS = ['instant-yeast', 'active-dry-yeast', 'fresh-yeast'];

/** From mixing to cutting on one clock: what the dough, the oven and the crumb will do, and everything that moves it in reach. */
export function RunPanel() {
  const { edit, settle } = useSheetActions();
  const whole = useSheetState((state) => state.formula);
  const [wayId] = useWay();
  const formula = useMemo(() => asWay(whole, wayId), [whole, wayId]);
  const { consistency } = useSheetState((state) => state.answers);
  const book = useBook();
  const keeping = useMemo(() => keepingsOf(formula, book), [formula, book]);
  const nameOf = useNameOf();
  const units = useUnits();
  const { kit } = useStoredKit();
  const { preferences } = usePreferences();
  const [chosen, setChosen] = useState<string | null>(null);
  const [supposed, setSupposed] = useState<string | null>(null);
  const { ref, width } = useWidth();

  const sheetRun = useSheetRun();
  const [taught, setTaught] = useTaught();
  const oven = ovenFor(kit, formula);
  const made = sheetRun?.made ?? null;
  const run = made?.ok ? made.value : null;
  const { forecast, problem, computing, broken, learning, slices } = sheetRun ?? NOTHING_YET;
  const kitchen = sheetRun?.kitchen ?? null;

  const list = useMemo(
    () => supposables(formula, kit, oven?.id ?? '', units, book),
    [book, formula, kit, oven, units],
  );
  const what = list.find((each) => each.id === supposed)?.what ?? null;
  const later = useDeferredValue(formula);
  const ghost = useMemo(() => {
    if (!what || !kitchen) return null;
    const other = supposing(what, later, kitchen, book);
    const answers = formulaAnswers(other.formula, book);
    const otherRun = runOf(other.formula, book, answers.totals, answers.consistency, other.kitchen);
    return otherRun.ok ? { run: otherRun.value, feel: answers.consistency } : null;
  }, [what, later, kitchen, book]);
  const beside = useRunForecast('ghost', ghost?.run ?? null, ghost?.feel ?? null);

  if (!made) return <p className="text-sm text-soft">{words.calculatingRiseAndBake}</p>;
  if (!run || !consistency) {
    return (
      <p className="text-sm text-soft">
        {made.ok || made.problem.code === 'noFlour'
          ? words.addFlourAndWater
          : made.problem.path === 'steps'
            ? words.addStepsToThe
            : wordProblem(made.problem, preferences)}
      </p>
    );
  }
  const axis = timeAxis([
    0,
    run.endS,
    ...run.steps.filter((step) => step.stretch !== 'beside').flatMap((step) => [step.startS, step.endS]),
  ]);
  const step = formula.steps.find((each) => each.id === chosen);
  const placed = run.steps.find((each) => each.stepId === chosen);
  const heats = run.steps
    .filter((each) => each.stretch === 'heat')
    .findIndex((each) => each.stepId === chosen);
  const nameOfStep = (stepId: string): string => {
    const at = formula.steps.findIndex(({ id }) => id === stepId);
    const found = formula.steps[at];
    return found ? `${at + 1}. ${found.title || STEP_WORD[found.kind]}` : '';
  };
  const change = (wish: FormulaEdit, key: string) => void edit(wish, key);
  const stretch = (stepId: string, durationS: number) => {
    const old = formula.steps.find((each) => each.id === stepId);
    if (old)
      change({ type: 'setStep', step: { ...old, minS: durationS, maxS: null } }, `run-length:${stepId}`);
  };
  const yeast = allLines(formula).find((line) => YEASTS.includes(line.ingredientId));
  return (
    <div>
      <WhichBread />
      <PieceSettings
        as={bakedAsOf(formula)}
        oven={oven}
        usual={!formula.bakedAs}
        thickMm={forecast?.bake ? 1000 * forecast.bake.simulation.body.heightM : null}
        together={run.bake?.perLoad ?? null}
        onChange={(bakedAs) => {
          change(bakeWayAs(whole, wayId, bakedAs), 'baked-as');
          settle();
        }}
      />
      <div className="flex flex-wrap items-start gap-x-6 gap-y-4">
        <div className="min-w-64 flex-1">
          {forecast ? (
            <RunAnswers
              forecast={forecast}
              lidded={run.bake?.phases.some((phase) => phase.moist === 'lid') ?? false}
              topped={run.bake?.phases.some((phase) => phase.topped) ?? false}
              keeping={forecast.bake?.eatenWarm ? null : keeping}
              bakesS={
                run.bake?.phases.reduce(
                  (sum, { kind, durationS }) => sum + (OUT.has(kind) ? 0 : durationS),
                  0,
                ) ?? 0
              }
            />
          ) : (
            <p className="min-h-28 text-sm text-soft">
              {broken ? words.theCalculationStoppedChange : words.calculatingRiseAndBake}
            </p>
          )}
        </div>
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {wordProblem(problem, preferences)}
        </p>
      )}
      {forecast?.bakeProblem && (
        <BakeProblem
          problem={forecast.bakeProblem}
          stepId={stepOfProblem(run, forecast.bakeProblem)}
          nameOf={nameOfStep}
          onChoose={setChosen}
        />
      )}
      <TakenFor steps={formula.steps} nameOf={nameOfStep} chosen={chosen} onChoose={setChosen} />
      <p role="status" className="h-5 text-right text-xs text-soft" data-testid="computing">
        {computing ? words.calculatingOf(computing.done, computing.of) : ''}
      </p>
      <div ref={ref} style={{ minHeight: CHART_HEIGHT }} className="overflow-x-auto">
        {width > 0 && (
          <RunChart
            run={run}
            axis={axis}
            width={Math.max(560, width)}
            forecast={forecast}
            ghost={what ? beside.forecast : null}
            ghostRun={ghost?.run ?? null}
            titleOf={(stepId) => formula.steps.find((each) => each.id === stepId)?.title ?? ''}
            chosen={chosen}
            onChoose={(stepId) => setChosen(chosen === stepId ? null : stepId)}
            onStretch={stretch}
            onSettle={settle}
          />
        )}
      </div>
      <ul aria-label={words.linesOfThePicture} className="flex flex-wrap gap-x-4 gap-y-1 text-xs text-soft">
        {[
          ['var(--is-leaven)', words.doughRiseAndWarmth],
          ['var(--is-fat)', words.ovenDashedItsSpring],
          ['var(--ink)', words.middleOfThePieceWith],
        ].map(([colour, line]) => (
          <li key={line} className="flex items-center gap-1.5">
            <span aria-hidden className="h-1 w-5 rounded" style={{ background: colour }} /> {line}
          </li>
        ))}
      </ul>
      <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        {words.selectedStep}
        <Choice
          label={words.selectedStep}
          value={chosen ?? ''}
          options={[
            { value: '', label: words.none },
            ...formula.steps.map(({ id }) => ({ value: id, label: nameOfStep(id) })),
          ]}
          onChange={(id) => setChosen(id === '' ? null : id)}
          className="max-w-64 border-edge"
        />
      </label>
      {step && placed && (
        <StepDials
          step={step}
          durationS={placed.endS - placed.startS}
          heat={run.bake?.heats[heats] ?? null}
          onEdit={change}
          onSettle={settle}
        />
      )}
      {yeast && (
        <label className="mt-2 block text-sm">
          {nameOf(yeast.ingredientId)}:{' '}
          <strong className="figure text-base">{units.mass(yeast.massG)}</strong>
          <YeastSlider
            key={yeast.id}
            massG={yeast.massG}
            name={nameOf(yeast.ingredientId)}
            onChange={(massG) =>
              change({ type: 'setMass', lineId: yeast.id, massG }, `run-yeast:${yeast.id}`)
            }
            onSettle={settle}
          />
        </label>
      )}
      {(learning || slices) && (
        <LearntLine learning={learning} slices={slices} on={taught} onTurn={setTaught} />
      )}
      <WhatIfs
        list={list}
        chosen={supposed}
        onChoose={setSupposed}
        before={forecast}
        after={beside.forecast}
        computing={beside.computing !== null}
      />
      {!whole.ways && <Schools run={run} kit={kit} />}
      {forecast?.bake && (
        <ProbeFit run={run} feel={consistency} forecast={forecast} ovenId={oven?.id ?? ''} />
      )}
    </div>
  );
}

/** From nearly none to four times what stood there when the sheet was opened. */
function YeastSlider({
  massG,
  name,
  onChange,
  onSettle,
}: {
  massG: number;
  name: string;
  onChange: (massG: number) => void;
  onSettle: () => void;
}) {
  const [first] = useState(massG);
  const units = useUnits();
  const step = first > 8 ? 0.5 : 0.1;
  return (
    <input
      type="range"
      aria-label={name}
      aria-valuetext={units.mass(massG)}
      className="block h-8 w-56 accent-(--ink)"
      min={step}
      max={Math.max(4 * first, massG)}
      step={step}
      value={massG}
      onChange={(event) => onChange(Number(Number(event.currentTarget.value).toFixed(2)))}
      onPointerUp={onSettle}
      onBlur={onSettle}
    />
  );
}
