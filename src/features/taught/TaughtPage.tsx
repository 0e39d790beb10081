'use client';
import { ArrowLeft } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, type ReactNode } from 'react';
import type { AbsorptionLearnt } from '@/core/consistency';
import type { RiseLearning } from '@/core/fermentation';
import type { SliceLearning } from '@/core/slice';
import { Z80 } from '@/core/numeric';
import type { MeasureLearnt } from '@/core/quantity';
import { words } from '@/wording/screens/taught/TaughtPage';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { StartAnew } from './StartAnew';

export interface Taught {
  readonly powders: readonly (AbsorptionLearnt & { readonly name: string; readonly lot: string | null })[];
  readonly jars: readonly { readonly lotId: string; readonly name: string; readonly vigour: RiseLearning['learnt']['vigour']; readonly marks: number }[];
  readonly formulas: readonly { readonly formulaId: string; readonly name: string; readonly bakeIds: readonly string[]; readonly learning: RiseLearning | null }[];
  readonly slices: readonly { readonly formulaId: string; readonly name: string; readonly bakeIds: readonly string[]; readonly learning: SliceLearning | null }[];
  readonly ovens: readonly { readonly name: string; readonly offsetC: number; readonly offsetSdC: number; readonly traces: number }[];
  readonly measures: readonly (MeasureLearnt & { readonly name: string | null })[];
} // prettier-ignore

/** The page is asked for anew until all is computed. */
const AGAIN_MS = 4000;

/** What bakes have taught the models; null: that is still being computed. */
export function TaughtPage({ taught }: { readonly taught: Taught | null }) {
  const router = useRouter();
  const isLate = taught === null;
  useEffect(() => {
    if (!isLate) return;
    const timer = setInterval(() => router.refresh(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [isLate, router]);
  return (
    <>
      <KitchenLink
        href="/logbook"
        className="no-print inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.theLogbook}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{words.title}</h1>
      <p className="max-w-prose text-soft">{words.lead}</p>
      {taught ? (
        <All {...taught} />
      ) : (
        <p role="status" className="docket mt-4 p-6">
          {words.computing}
        </p>
      )}
    </>
  );
}

/** Before and after, from how much, and how much smaller the error got. */
function All({ powders, jars, formulas, slices, ovens, measures }: Taught) {
  const numbers = useNumbers();
  const units = useUnits();
  const spread = (value: number, sd: number, places: number) => words.plusMinus(numbers.fixed(value, places), numbers.fixed(Z80 * sd, places));
  const isEmpty = [powders, jars, formulas, slices, ovens, measures].every(({ length }) => length === 0);
  const filling = ({ g, lowG, highG }: MeasureLearnt['now']) => words.filling(units.mass(g), units.massRange(lowG, highG));
  return (
    <>
      {isEmpty && <p className="docket mt-4 p-6">{words.nothing}</p>}
      {formulas.length > 0 && (
        <Part title={words.rise} heads={[words.what, words.now, words.error, words.from, '']}>
          {formulas.map(({ formulaId, name, bakeIds, learning }) => (
            <Row key={formulaId} name={<KitchenLink href={`/formulas/${formulaId}`} className="text-link underline">{name}</KitchenLink>} cells={learning ? [
              words.fastAndHolds(`× ${spread(learning.learnt.vigour.value, learning.learnt.vigour.value * learning.learnt.vigour.cv, 2)}`, `× ${numbers.fixed(learning.learnt.holding.value, 2)}`),
              words.smaller(numbers.fixed(learning.missBefore, 2), numbers.fixed(learning.miss, 2)),
              words.marks(learning.marks, learning.days),
            ] : [words.teachesNothing, '', '']} end={learning && <StartAnew name={name} bakeIds={bakeIds} />} />
          ))}
        </Part>
      )}
      {slices.length > 0 && (
        <Part title={words.slices} heads={[words.what, words.now, words.formError, words.from, '']}>
          {slices.map(({ formulaId, name, bakeIds, learning }) => (
            <Row key={formulaId} name={<KitchenLink href={`/formulas/${formulaId}`} className="text-link underline">{name}</KitchenLink>} cells={learning ? [
              words.asHigh(numbers.fixed(learning.form.value, 2), numbers.fixed(learning.form.low, 2), numbers.fixed(learning.form.high, 2)),
              learning.missBefore === null || learning.miss === null ? words.oneOnly : words.smallerPercent(numbers.decimal(100 * learning.missBefore, 0), numbers.decimal(100 * learning.miss, 0)),
              words.cuts(learning.bakes),
            ] : [words.teachesNothing, '', '']} end={learning && <StartAnew name={name} bakeIds={bakeIds} />} />
          ))}
        </Part>
      )}
      {powders.length > 0 && (
        <Part title={words.absorption} heads={[words.what, words.before, words.now, words.from]}>
          {powders.map(({ ingredientId, lotId, of, name, lot, before, after, feels }) => (
            <Row key={`${ingredientId} ${lotId} ${of}`} name={`${of === 'whole' ? words.whole(name) : name}${lot === null ? '' : `, ${lot}`}`} strong={1} cells={[spread(before.value, before.sd, 2), spread(after.value, after.sd, 2), words.feels(feels)]} />
          ))}
        </Part>
      )}
      {jars.length > 0 && (
        <Part title={words.jars} heads={[words.what, words.now, words.from]}>
          {jars.map(({ lotId, name, vigour, marks }) => (
            <Row key={lotId} name={name} cells={[`× ${spread(vigour.value, vigour.value * vigour.cv, 2)}`, words.onlyMarks(marks)]} />
          ))}
        </Part>
      )}
      {ovens.length > 0 && (
        <Part title={words.ovens} heads={[words.what, words.now, words.from]}>
          {ovens.map(({ name, offsetC, offsetSdC, traces }) => (
            <Row key={name} name={name} cells={[`${spread(offsetC * units.degreesPerC, offsetSdC * units.degreesPerC, 0)}°`, words.traces(traces)]} />
          ))}
        </Part>
      )}
      {measures.length > 0 && (
        <Part title={words.measures} heads={[words.what, words.before, words.now, words.from]}>
          {measures.map(({ measure, ingredientId, name, before, now, weighings }, index) => (
            <Row key={`${measure} ${ingredientId} ${index}`} name={words.myMeasure(measure, name)} strong={1} cells={[before ? filling(before) : words.noBookKnows, filling(now), words.weighings(weighings)]} />
          ))}
        </Part>
      )}
    </>
  );
} // prettier-ignore

/** What the columns are of: on a phone each figure says it. */
const Heads = createContext<readonly string[]>([]);

function Part({ title, heads, children }: { title: string; heads: readonly string[]; children: ReactNode }) {
  return (
    <section className="docket mt-4 rounded-b-md px-5 pt-4 pb-5">
      <h2 className="text-xl">{title}</h2>
      <div className="mt-2 overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
        <table className="stacks w-full border-collapse text-sm">
          <thead>
            <tr className="text-left text-soft">
              {heads.map((head, index) =>
                head === '' ? (
                  <td key={index} />
                ) : (
                  <th key={head} scope="col" className="py-1 pr-3 font-semibold">
                    {head}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            <Heads value={heads}>{children}</Heads>
          </tbody>
        </table>
      </div>
    </section>
  );
}

interface RowProps {
  readonly name: ReactNode;
  readonly cells: readonly string[];
  /** Which of them is what is believed now. */
  readonly strong?: number;
  readonly end?: ReactNode;
}

function Row({ name, cells, strong = 0, end }: RowProps) {
  const heads = useContext(Heads);
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-1.5 pr-3 text-left font-normal">
        {name}
      </th>
      {cells.map((cell, index) => (
        <td
          key={index}
          data-of={heads[index + 1]}
          className={index === strong ? 'py-1.5 pr-3 font-semibold' : 'py-1.5 pr-3 text-soft'}
        >
          {cell}
        </td>
      ))}
      {end !== undefined && <td className="no-print py-1 text-right">{end}</td>}
    </tr>
  );
}
