'use client';
import dynamic from 'next/dynamic';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { allergenStatement } from '@/core/cautions/allergenStatement';
import { useBook, useNameOf } from '../book/BookProvider';
import { Term } from '../help/Term';
import { useNumbers } from '../preferences/PreferencesProvider';
import { useSheetState } from '../sheet/SheetContext';
import { BAND_WORD } from '@/wording/bands';
import { ALLERGEN_WORD } from '@/wording/allergens';
import { CardFigure } from './CardFigure';
import { words } from '@/wording/screens/formula/AnswerCard';
import { patiently } from '@/ui/patiently';

// the day and its slice are computed: their code follows when the sheet stands
const DayFigures = dynamic(
  patiently(() => import('./DayFigures').then((module) => module.DayFigures)),
  {
    ssr: false,
    loading: () => <div className="min-h-11 lg:min-h-24" />,
  },
);
const EaterChecks = dynamic(
  patiently(() => import('../eaters/EaterChecks').then((module) => module.EaterChecks)),
  {
    ssr: false,
  },
);
const ToCheck = dynamic(
  patiently(() => import('./ToCheck').then((module) => module.ToCheck)),
  { ssr: false },
);
const SheetSlice = dynamic(
  patiently(() => import('./SheetSlice').then((module) => module.SheetSlice)),
  { ssr: false },
);

/**
 * What the baker came for, in view at every width and on every place of the formula: what kind of dough, its water, salt and binder, when it
 * is ready and may be cut, and who must not eat it.
 */
export const AnswerCard = memo(function AnswerCard({ formulaId }: { formulaId: string }) {
  const { totals, consistency } = useSheetState((state) => state.answers);
  const numbers = useNumbers();
  const band = consistency && BAND_WORD[consistency.rested.band];
  return (
    <aside
      aria-label={words.whatThisMakes}
      className="docket z-20 min-w-0 rounded-b-md lg:order-2 px-3 pt-3 pb-2 tall:sticky tall:top-14 lg:tall:top-18 max-lg:-mx-3 max-sm:px-4 sm:max-lg:-mx-5 lg:px-4 lg:pt-4 lg:pb-3"
    >
      <div className="flex items-center gap-3 lg:block">
        <div className="min-w-0 flex-1">
          <p
            className="font-head text-2xl leading-tight font-bold tracking-tight lg:text-4xl"
            data-testid="band-rested"
          >
            {band ? band.name : words.noDoughYet}
          </p>
          <p className="text-sm text-soft max-lg:hidden">{band?.like ?? words.flourAndWaterAndIt}</p>
        </div>
        <SheetSlice className="h-14 w-24 shrink-0 lg:mt-3 lg:h-36 lg:w-full" />
      </div>
      <Said />
      <dl className="mt-1 grid grid-cols-3 gap-x-3 lg:mt-3">
        <CardFigure
          word={<Term id="hydration">{words.water}</Term>}
          figure={numbers.percent(totals.hydrationAll)}
          testId="hydration-all"
        />
        <CardFigure
          word={<Term id="salt">{words.salt}</Term>}
          figure={numbers.percent(totals.saltPercent)}
          testId="salt"
        />
        <CardFigure
          word={<Term id="binder">{words.binder}</Term>}
          figure={numbers.percent(totals.binderPercent)}
          testId="binder"
        />
      </dl>
      <DayFigures />
      <Contains />
      <ToCheck formulaId={formulaId} />
    </aside>
  );
});

const QUIET_MS = 1200;

/** What a screen reader hears when the typing has come to rest; nothing at first. */
function Said() {
  const numbers = useNumbers();
  const { totals, consistency } = useSheetState((state) => state.answers);
  const now = consistency
    ? words.bandAndWater(BAND_WORD[consistency.rested.band].name, numbers.percent(totals.hydrationAll))
    : '';
  const [said, setSaid] = useState('');
  const first = useRef(now);
  useEffect(() => {
    if (now === first.current) return undefined;
    const timer = setTimeout(() => {
      first.current = now;
      setSaid(now);
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, [now]);
  return (
    <p role="status" className="sr-only">
      {said}
    </p>
  );
}

/** Allergens in one line, and for whom of this kitchen's eaters it is not. */
function Contains() {
  const nameOf = useNameOf();
  const book = useBook();
  const stages = useSheetState((state) => state.formula.stages);
  const statement = useMemo(() => allergenStatement({ stages }, book), [book, stages]);
  const legal = statement.allergens.map(({ allergen }) => ALLERGEN_WORD[allergen]);
  const unknown = statement.unknownIds.map((id) => nameOf(id)).join(', ');
  if (stages.every(({ lines }) => lines.length === 0)) return null;
  return (
    <div className="mt-1 border-t border-rule pt-1 lg:mt-2 lg:pt-2">
      <p className="text-sm" data-testid="allergens">
        {legal.length > 0 ? (
          <>
            <Term id="allergens">{words.contains}</Term> <strong>{legal.join(', ')}</strong>
          </>
        ) : (
          <Term id="allergens">{words.noAllergenFoundBy}</Term>
        )}
        {unknown && <strong className="text-alarm">{words.ofNothingIsKnown(unknown)}</strong>}
      </p>
      <EaterChecks stages={stages} brief className="mt-1" />
    </div>
  );
}
