'use client';
import { ArrowLeft, CookingPot } from 'lucide-react';
import { useMemo, useState } from 'react';
import { planBatch, type BatchRequest, type BatchSheet } from '@/core/batch';
import { roomOf, type Kit } from '@/core/kit';
import { FORMULA_LIMITS } from '@/core/formula';
import { ok, type Result } from '@/core/result';
import {
  LADDER_LIMITS,
  ladderAxes,
  ladderFormula,
  rungCodes,
  type LadderAxis,
  type LadderWish,
} from '@/core/trial';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { AskCell } from '../batch/AskCell';
import { useStart } from '../batch/useStart';
import { useBook } from '../book/BookProvider';
import type { LoadedFormula } from '../formula/useFormulaSheet';
import { readWhole } from '../quantities/readWhole';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { AXIS_UNIT, AXIS_WORD, wordRung } from '@/wording/ladder';
import { words } from '@/wording/screens/ladder/LadderPage';

/** What bakers try first: three, with the formula as it is in the middle. */
const USUAL: Readonly<Record<LadderAxis, readonly number[]>> = {
  water: [-6, 0, 6], binder: [75, 100, 125], yeast: [60, 100, 160], proof: [70, 100, 140], oven: [-20, 0, 20],
}; // prettier-ignore

const spreadOver = (axis: LadderAxis, count: number): number[] => {
  const [low = 0, , high = 0] = USUAL[axis];
  return Array.from({ length: count }, (_, index) => {
    return Math.round(low + ((high - low) * index) / (count - 1));
  });
};

interface Planned {
  readonly wish: LadderWish;
  readonly batch: BatchRequest;
  readonly sheet: Result<BatchSheet>;
}

/** One dough, and one thing different on each of a few breads of it. */
export function LadderPage({ loaded, kit }: { loaded: LoadedFormula; kit: Kit }) {
  const { formula } = loaded;
  const book = useBook();
  const axes = useMemo(() => ladderAxes(formula, book), [book, formula]);
  const [axis, setAxis] = useState<LadderAxis>(axes[0] ?? 'water');
  const [values, setValues] = useState<readonly number[]>(() => spreadOver(axis, 3));
  const [pieces, setPieces] = useState(1);
  const [pieceMassG, setPieceMassG] = useState(() => Math.round(formula.usualYield.pieceMassG));
  const wish: LadderWish = { axis, values: [...values], pieces, pieceMassG };
  const numbers = useNumbers();
  const units = useUnits();
  const planned = usePlanned(loaded, kit, wish);
  const choose = (next: LadderAxis) => {
    setAxis(next);
    setValues(spreadOver(next, values.length));
  };
  return (
    <>
      <KitchenLink
        href={`/formulas/${loaded.id}`}
        className="inline-flex min-h-8 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.theFormula}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{words.ladderOf(formula.name)}</h1>
      <p className="max-w-prose text-soft">{words.whatItIs}</p>
      {axes.length === 0 ? (
        <p className="docket mt-4 p-6">{words.partsAlready}</p>
      ) : (
        <div className="mt-4 grid items-start gap-5 lg:grid-cols-[24rem_minmax(0,1fr)]">
          <section aria-labelledby="ask-title" className="docket rounded-b-md p-4">
            <h2 id="ask-title" className="text-xl">
              {words.whatDiffers}
            </h2>
            <Segmented
              label={words.whatDiffers}
              value={axis}
              onChange={choose}
              className="mt-2 flex-wrap"
              options={axes.map((value) => ({ value, label: AXIS_WORD[value] }))}
            />
            <Segmented
              label={words.howMany}
              value={String(values.length)}
              onChange={(count) => setValues(spreadOver(axis, Number(count)))}
              className="mt-3"
              options={counts().map((count) => ({ value: String(count), label: words.breads(count) }))}
            />
            <Values axis={axis} values={values} onValues={setValues} />
            <div className="mt-4 flex flex-wrap gap-4">
              <AskCell
                word={words.piecesEach}
                label={words.piecesEach}
                inputMode="numeric"
                path="pieces"
                value={pieces}
                bounds={LADDER_LIMITS.pieces}
                read={readWhole}
                show={(count) => numbers.decimal(count, 0)}
                onChange={setPieces}
              />
              <AskCell
                word={words.doughOfOne}
                label={words.doughOfOne}
                unit={units.massUnit}
                path="pieceMassG"
                value={pieceMassG}
                bounds={FORMULA_LIMITS.pieceMassG}
                read={units.parseMass}
                show={units.massCell}
                onChange={setPieceMassG}
              />
            </div>
          </section>
          <Plan loaded={loaded} planned={planned} />
        </div>
      )}
    </>
  );
} // prettier-ignore

const counts = (): number[] =>
  Array.from({ length: LADDER_LIMITS.rungs.max - LADDER_LIMITS.rungs.min + 1 }, (_, i) => LADDER_LIMITS.rungs.min + i); // prettier-ignore

/** Where the rungs stand; of the oven in the reader's degrees. */
function Values({ axis, values, onValues }: { axis: LadderAxis; values: readonly number[]; onValues: (values: readonly number[]) => void }) {
  const numbers = useNumbers();
  const units = useUnits();
  const per = axis === 'oven' ? units.degreesPerC : 1;
  return (
    <fieldset className="mt-3">
      <legend className="text-sm text-soft">
        {axis === 'oven' ? units.temperatureUnit : AXIS_UNIT[axis].unit} {AXIS_UNIT[axis].against}
      </legend>
      <div className="flex flex-wrap gap-2">
        {values.map((value, index) => (
          <div key={index} className="w-24">
            <AskCell
              word=""
              label={words.rung(index + 1)}
              path="value"
              value={value}
              bounds={LADDER_LIMITS.value}
              read={(text) => {
                const read = numbers.parse(text.replace('−', '-'));
                return read.ok ? ok(read.value / per) : read;
              }}
              show={(shown) => numbers.decimal(shown * per, 1)}
              onChange={(next) => onValues(values.map((each, at) => (at === index ? next : each)))}
            />
          </div>
        ))}
      </div>
    </fieldset>
  );
} // prettier-ignore

function usePlanned({ formula }: LoadedFormula, kit: Kit, wish: LadderWish): Planned {
  const book = useBook();
  const key = JSON.stringify(wish);
  return useMemo(() => {
    const asked = JSON.parse(key) as LadderWish;
    const batch: BatchRequest = { mode: 'factor', factor: 1, pieceMassG: asked.pieceMassG, bowlLossPercent: 0 };
    const made = ladderFormula(formula, asked, rungCodes('0', asked.values.length), book);
    if (!made.ok) return { wish: asked, batch, sheet: made };
    const sheet = planBatch(made.value.formula, batch, kit.scales, book, roomOf(kit, made.value.formula));
    const { ladder } = made.value;
    return { wish: asked, batch, sheet: sheet.ok ? { ok: true, value: { ...sheet.value, ladder } } : sheet };
  }, [book, formula, key, kit]);
} // prettier-ignore

/** What is weighed out: the dough of all, then what each rung gets. */
function Plan({ loaded, planned: { wish, batch, sheet } }: { loaded: LoadedFormula; planned: Planned }) {
  const { start, busy, trouble } = useStart(loaded);
  const units = useUnits();
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  if (!sheet.ok)
    return (
      <p role="alert" className="docket p-6 text-alarm">
        {wordProblem(sheet.problem, preferences)}
      </p>
    );
  const { ladder, stages, doughG, ways = [] } = sheet.value;
  const lines = stages.flatMap((stage) => stage.lines);
  const ownG = lines.filter(({ id }) => ladder?.rungs.some(({ lineId }) => lineId === id)).reduce((sum, line) => sum + line.massG, 0);
  const commonG = doughG - ownG;
  return (
    <section aria-labelledby="plan-title" className="docket rounded-b-md p-4">
      <h2 id="plan-title" className="text-xl">
        {words.weighedOut}
      </h2>
      <p className="mt-1">
        <span className="figure text-3xl">
          {units.mass(commonG)}
        </span>{' '}
        {words.commonDough(ladder?.rungs.length ?? 0)}
      </p>
      <table className="mt-3 w-full text-sm">
        <thead>
          <tr className="text-left text-soft">
            <th scope="col" className="py-1 font-normal">{words.theRung}</th>
            <th scope="col" className="py-1 text-right font-normal">{words.getsToo}</th>
            <th scope="col" className="py-1 text-right font-normal">{words.becomes}</th>
          </tr>
        </thead>
        <tbody>
          {ladder?.rungs.map(({ id, lineId, value }) => {
            const own = lines.find((line) => line.id === lineId);
            const way = ways.find(({ wayId }) => wayId === id);
            return (
              <tr key={id} className="border-t border-rule">
                <th scope="row" className="py-2 text-left text-lg">{wordRung(ladder.axis, value, units)}</th>
                <td className="py-2 text-right">{own ? `${units.mass(own.massG)} ${own.name}` : words.nothingMore}</td>
                <td className="py-2 text-right">{way && `${numbers.decimal(way.count, 0)} × ${units.mass(way.doughG)}`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-3 text-sm text-soft">{words.codes}</p>
      {trouble && <p role="alert" className="mt-2 text-alarm">{trouble}</p>}
      <Button look="now" size="bench" className="mt-3 w-full" disabled={busy} onClick={() => void start({ batch, ladder: wish })}>
        <CookingPot size={20} aria-hidden />
        {words.toTheBench}
      </Button>
    </section>
  );
} // prettier-ignore
