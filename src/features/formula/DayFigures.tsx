'use client';
import { Term } from '../help/Term';
import { useSheetRun } from '../sheet/SheetContext';
import { risesVisibly } from '@/core/fermentation';
import { honestRange } from '@/wording/run';
import { CardFigure } from './CardFigure';
import { words } from '@/wording/screens/formula/DayFigures';

/** When the dough is ready for the oven, and when the bread may be cut; dashes while nobody can say. */
export function DayFigures() {
  const run = useSheetRun();
  const forecast = run?.forecast ?? null;
  const rise = forecast?.rise;
  const cut = forecast?.bake?.cut;
  const endS = forecast?.bake?.endS ?? 0;
  const rises = rise !== undefined && risesVisibly(rise);
  const after = (atS: number | null) => (atS === null ? null : Math.max(0, atS - endS));
  const cutWords = cut && (cut.value === null ? words.later : honestRange(after(cut.low), after(cut.high)));
  return (
    <dl className="mt-1 grid grid-cols-2 gap-x-3 lg:mt-3" aria-busy={run?.computing != null}>
      <CardFigure
        range
        testId="run-ready"
        word={<Term id="ready">{words.readyToBake}</Term>}
        say={rises ? words.afterMixing : undefined}
        figure={
          !rise ? '–' : rises ? honestRange(rise.wantedAtS.low, rise.wantedAtS.high) : words.noVisibleRise
        }
      />
      <CardFigure
        range
        testId="run-cut"
        word={<Term id="cut">{forecast?.bake?.eatenWarm ? words.eatFrom : words.mayBeCut}</Term>}
        say={cut ? words.outOfTheOven : undefined}
        figure={cutWords ?? '–'}
      />
    </dl>
  );
}
