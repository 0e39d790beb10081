'use client';
import { BAND_WORD } from '../wording/bands';
import { wordPercent } from '../wording/words';
import { useSheetState } from '../sheet/SheetContext';

/** The three figures that follow every key, in one line on top of a narrow screen; the whole of them stands below. */
export function AnswerStrip() {
  const totals = useSheetState((state) => state.totals);
  const band = useSheetState((state) => state.answers.consistency?.rested.band ?? null);
  return (
    <dl className="sticky top-14 whitespace-nowrap z-20 -mx-3 flex items-baseline justify-between gap-3 border-b border-rule bg-paper px-3 py-2 sm:-mx-5 sm:px-5 lg:hidden">
      <div className="flex flex-row-reverse items-baseline gap-2">
        <dt className="text-xs text-soft">water</dt>
        <dd className="figure text-2xl">{wordPercent(totals.hydrationAll)}</dd>
      </div>
      {band && (
        <div>
          <dt className="sr-only">after its rest</dt>
          <dd className="font-head text-lg font-bold">{BAND_WORD[band].name}</dd>
        </div>
      )}
      <div className="flex items-baseline gap-1.5">
        <dt className="text-xs text-soft">salt</dt>
        <dd className="text-sm font-semibold">{wordPercent(totals.saltPercent)}</dd>
      </div>
    </dl>
  );
}
