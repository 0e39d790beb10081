'use client';
import { ArrowLeft, CookingPot, Printer } from 'lucide-react';
import { useMemo } from 'react';
import { planBatch } from '@/core/batch';
import { roomOf, type Kit } from '@/core/kit';
import { Button, buttonClass } from '@/ui/Button';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useBook } from '../book/BookProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useSlices } from '../run/useSlices';
import { wordProblem } from '@/wording/problems';
import type { LoadedFormula } from '../formula/useFormulaSheet';
import { BatchQuestion } from './BatchQuestion';
import { BatchSheetView } from './BatchSheetView';
import { requestOf, useBatchQuery } from './useBatchQuery';
import { useStart } from './useStart';
import { words } from '@/wording/screens/batch/BatchPage';

/** How much today? The question on the left, the sheet to weigh from on the right, the bench one press away. */
export function BatchPage({ loaded, kit }: { loaded: LoadedFormula; kit: Kit }) {
  const { formula } = loaded;
  const { preferences } = usePreferences();
  const [query, setQuery] = useBatchQuery(formula);
  const { start, busy, trouble } = useStart(loaded);

  // for the paper: what the server knows of it by now
  const slice = useSlices([loaded.id])[loaded.id] ?? null;
  const book = useBook();
  const request = useMemo(() => requestOf(query), [query]);
  const plan = useMemo(
    () => planBatch(formula, request, kit.scales, book, roomOf(kit, formula)),
    [book, formula, request, kit],
  );

  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <div className="min-w-64 flex-1">
          <KitchenLink
            href={`/formulas/${loaded.id}`}
            className="no-print inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
          >
            <ArrowLeft size={15} aria-hidden />
            {words.theFormula}
          </KitchenLink>
          <h1 className="text-2xl sm:text-3xl print:text-2xl">{formula.name}</h1>
        </div>
        <LadderLink id={loaded.id} />
        <Button className="no-print min-h-11 max-sm:hidden" onClick={() => window.print()}>
          <Printer size={17} aria-hidden />
          {words.print}
        </Button>
        <Button
          look="now"
          disabled={!plan.ok || busy}
          onClick={() => void start({ batch: request })}
          className="no-print min-h-12 px-6 text-lg"
        >
          <CookingPot size={20} aria-hidden />
          {words.toTheBench}
        </Button>
      </div>
      {trouble && (
        <p role="alert" className="mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {trouble}
        </p>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-[22rem_minmax(0,1fr)] print:block">
        <BatchQuestion formula={formula} query={query} onChange={(part) => void setQuery(part)} />
        {plan.ok ? (
          <BatchSheetView sheet={plan.value} slice={slice} />
        ) : (
          <p role="alert" className="docket p-6 text-alarm">
            {wordProblem(plan.problem, preferences)}
          </p>
        )}
      </div>
    </>
  );
}

const LadderLink = ({ id }: { id: string }) => (
  <KitchenLink href={`/formulas/${id}/ladder`} className={buttonClass('quiet', 'table', 'no-print min-h-11')}>
    {words.asALadder}
  </KitchenLink>
);
