'use client';
import { GitFork, Plus } from 'lucide-react';
import { memo, type ReactNode, useCallback, useEffect, useMemo, useRef } from 'react';
import { allSteps, asWay, divideDough, FORMULA_LIMITS, usableG, type Formula } from '@/core/formula';
import { methodTime, STEP_KINDS, type MethodStep } from '@/core/method';
import { formatDurationRange, formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { Menu } from '@/ui/Menu';
import { STEP_WORD } from '@/wording/words';
import { CarryArea, CarryList } from './carry/carry';
import { newLocalId, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { WaySection } from './method/WaySection';
import { StepRow } from './StepRow';
import { useUnits } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/formula/MethodEditor';
import { Term } from '../help/Term';

/** The list of the dough's own steps. */
const TRUNK = 'steps';

/** Where a step stands: in the dough's own steps (null) or in those of one way, and at which place there; of a list its end. */
function placeOf(formula: Pick<Formula, 'steps' | 'ways'>, stepId: string) {
  const own = formula.steps.findIndex(({ id }) => id === stepId);
  if (own >= 0) return { wayId: null, at: own, of: formula.steps.length };
  for (const way of formula.ways ?? []) {
    const at = way.steps.findIndex(({ id }) => id === stepId);
    if (at >= 0) return { wayId: way.id, at, of: way.steps.length };
    // over its list, not over one of its steps: an empty bread has no step to be over
    if (way.id === stepId) return { wayId: way.id, at: way.steps.length, of: way.steps.length };
  }
  if (stepId === TRUNK) return { wayId: null, at: formula.steps.length, of: formula.steps.length };
  return null;
}

/** The method beneath the sheet: ordered steps, moved by drag or by keys; where the dough parts, each way's beneath it. */
export const MethodEditor = memo(function MethodEditor() {
  const { edit } = useSheetActions();
  const steps = useSheetState((state) => state.formula.steps);
  const ways = useSheetState((state) => state.formula.ways);
  const latest = useRef<Pick<Formula, 'steps' | 'ways'>>({ steps });
  useEffect(() => {
    latest.current = { steps, ...(ways && { ways }) };
  });
  const onDrop = (stepId: string, overId: string) => {
    const over = placeOf(latest.current, overId);
    if (over) edit({ type: 'moveStep', stepId, toIndex: over.at, toWayId: over.wayId });
  };
  const onMove = useCallback(
    (stepId: string, by: -1 | 1) => {
      const place = placeOf(latest.current, stepId);
      const toIndex = place ? place.at + by : -1;
      if (place && toIndex >= 0 && toIndex < place.of) edit({ type: 'moveStep', stepId, toIndex });
    },
    [edit],
  );
  const nameOf = useCallback((id: string) => {
    const all = allSteps(latest.current);
    const index = all.findIndex((step) => step.id === id);
    const step = all[index];
    return step ? words.step(index + 1, step.title || STEP_WORD[step.kind]) : words.thatPlace;
  }, []);

  return (
    <section aria-labelledby="method-title" className="docket rounded-b-md px-2 pt-4 pb-3 sm:px-4">
      <MethodHead />
      <CarryArea nameOf={nameOf} onDrop={onDrop}>
        <Stretch wayId={null} steps={steps} from={1} onMove={onMove} />
        {ways && (
          <Parting>
            {(piecesOf) =>
              ways.map((way, index) => (
                <WaySection key={way.id} way={way} pieces={piecesOf(way.id)}>
                  <Stretch
                    wayId={way.id}
                    steps={way.steps}
                    from={ways
                      .slice(0, index)
                      .reduce((sum, each) => sum + each.steps.length, steps.length + 1)}
                    onMove={onMove}
                  />
                </WaySection>
              ))
            }
          </Parting>
        )}
      </CarryArea>
      {steps.length === 0 && !ways && (
        <p className="border-t border-rule py-4 text-sm text-soft">{words.noStepsYetPutDown}</p>
      )}
      <PartDough steps={steps} ways={ways?.length ?? 0} />
    </section>
  );
});

interface StretchProps {
  wayId: string | null;
  steps: readonly MethodStep[];
  /** The number of its first step. */
  from: number;
  onMove: (stepId: string, by: -1 | 1) => void;
}

/** Steps that follow one another, and a place for one more. */
function Stretch({ wayId, steps, from, onMove }: StretchProps) {
  const { edit } = useSheetActions();
  const order = steps.map((step) => step.id).join(' ');
  const ids = useMemo(() => order.split(' ').filter(Boolean), [order]);
  return (
    <>
      <CarryList id={wayId ?? TRUNK} ids={ids} as="ol" className="min-h-4">
        {steps.map((step, index) => (
          <StepRow key={step.id} step={step} number={from + index} onMove={onMove} />
        ))}
      </CarryList>
      <div className="border-t border-rule pt-2">
        <Menu
          columns
          trigger={
            <Button look="quiet" className="text-soft">
              <Plus size={16} aria-hidden />
              {words.addAStep}
            </Button>
          }
          choices={STEP_KINDS.map((kind) => ({
            key: kind,
            words: STEP_WORD[kind],
            onSelect: () => edit({ type: 'addStep', kind, id: newLocalId(), atIndex: steps.length, wayId }),
          }))}
        />
      </div>
    </>
  );
}

/** What becomes of the dough where it parts: pieces of each way, and what is left or missing. */
function Parting({ children }: { children: (piecesOf: (wayId: string) => number) => ReactNode }) {
  const units = useUnits();
  const doughG = useSheetState((state) => state.totals.doughG);
  const formula = useSheetState((state) => state.formula);
  const { shares, leftG, shortG } = useMemo(
    () => divideDough(formula.ways ?? [], usableG(formula)),
    [formula],
  );
  return (
    <div className="mt-3">
      <p className="flex flex-wrap items-baseline gap-x-2 border-t-2 border-edge pt-2 text-sm">
        <strong className="font-head text-base">{words.theDoughParts}</strong>
        <span className={shortG > 1 ? 'text-alarm' : 'text-soft'} data-testid="parting">
          {shortG > 1
            ? words.short(units.mass(shortG), units.mass(doughG))
            : words.left(units.mass(doughG), leftG < 1 ? null : units.mass(leftG))}
        </span>
      </p>
      {children((wayId) => shares.find(({ way }) => way.id === wayId)?.pieces ?? 0)}
    </div>
  );
}

/** One dough, several breads: where it parts, and one more of them. */
function PartDough({ steps, ways }: { steps: readonly MethodStep[]; ways: number }) {
  const { edit } = useSheetActions();
  if (ways >= FORMULA_LIMITS.ways || steps.length === 0) return null;
  const look = (word: string, onClick?: () => void) => (
    <Button look="quiet" className="text-soft" {...(onClick && { onClick })}>
      <GitFork size={16} aria-hidden className="rotate-180" />
      {word}
    </Button>
  );
  return (
    <div className="mt-2 border-t border-rule pt-2">
      {ways > 0 ? (
        look(words.anotherBread, () =>
          edit({ type: 'addWay', id: newLocalId(), name: words.anotherName(ways + 1) }),
        )
      ) : (
        <Menu
          trigger={look(words.partTheDough)}
          choices={steps.map((step, index) => ({
            key: step.id,
            words: words.after(index + 1, step.title || STEP_WORD[step.kind]),
            onSelect: () =>
              edit({
                type: 'partDough',
                afterStepId: step.id,
                ways: [
                  { id: newLocalId(), name: words.anotherName(1) },
                  { id: newLocalId(), name: words.anotherName(2) },
                ],
              }),
          }))}
        />
      )}
    </div>
  );
}

function MethodHead() {
  const formula = useSheetState((state) => state.formula);
  const time = methodTime(asWay(formula).steps);
  return (
    <header className="flex flex-wrap items-baseline justify-between gap-2 pb-2">
      <h2 id="method-title" className="scroll-mt-20 text-xl">
        {words.method}
      </h2>
      {time.minS > 0 && (
        <p className="text-sm text-soft">
          <strong className="text-ink">{formatDurationRange(time.minS, time.maxS)}</strong>
          {words.inTotal}
          <Term id="handsOn">{words.handsOn}</Term> {formatDuration(time.handsOnS)}
          {time.untimed > 0 && words.withoutATime(time.untimed)}
        </p>
      )}
    </header>
  );
}
