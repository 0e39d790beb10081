'use client';
import dynamic from 'next/dynamic';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { loadQuantities } from '../quantities/readQuantity';
import { loadDoughTemperature } from './DoughTemperature';
import { loadIngredientSearch } from './IngredientPicker';
import { SheetLines } from './SheetLines';
import { loadToolDialog, Tools } from './tools/Tools';
import { words } from '@/wording/screens/formula/FormulaPlace';
import { patiently } from '@/ui/patiently';

// below the lines: drawn when they stand
const DoughAnswers = dynamic(
  patiently(() => import('./DoughAnswers').then((module) => module.DoughAnswers)),
  {
    ssr: false,
    loading: () => <div className="min-h-96" />,
  },
);

// typing goes on when the server is gone
const NEEDED_OFFLINE = [loadIngredientSearch, loadQuantities, loadToolDialog, loadDoughTemperature];

/** What goes in; and beneath it what the dough is, figure by figure, with the sums behind them. */
export function FormulaPlace() {
  useFetchedEarly(NEEDED_OFFLINE);
  return (
    <>
      <section aria-label={words.whatGoesIn} className="docket rounded-b-md px-2 pt-4 pb-3 sm:px-4">
        <SheetLines />
        <Tools />
      </section>
      <DoughAnswers />
    </>
  );
}
