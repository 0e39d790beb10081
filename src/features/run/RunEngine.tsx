'use client';
import { useEffect, useMemo } from 'react';
import { asWay } from '@/core/formula';
import { runKitchenOf } from '@/core/kit';
import { runOf } from '@/core/run';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { useSheetActions, useSheetState, useTaught, useWay } from '../sheet/SheetContext';
import { useLearnt } from './Learnt';
import { useRunForecast } from './useRunForecast';

/** Computes the day of what stands on the sheet, for whoever shows some of it. Draws nothing; fetched after the sheet stands. */
export function RunEngine({ formulaId = null }: { formulaId?: string | null }) {
  const { runs } = useSheetActions();
  const whole = useSheetState((state) => state.formula);
  const [wayId] = useWay();
  const formula = useMemo(() => asWay(whole, wayId), [whole, wayId]);
  const { totals, consistency } = useSheetState((state) => state.answers);
  const book = useBook();
  const { kit } = useStoredKit();
  const { learning, slices } = useLearnt(formulaId);
  const [taught] = useTaught();
  const { bakedAs, steps } = formula;
  const learnt = taught ? learning?.learnt : undefined;
  const cuts = taught ? slices?.learnt : undefined;
  const kitchen = useMemo(
    () => ({
      ...runKitchenOf(kit, { bakedAs, steps }),
      ...(learnt && { learnt }),
      ...(cuts && { slices: cuts }),
    }),
    [kit, bakedAs, steps, learnt, cuts],
  );
  const made = useMemo(
    () => runOf(formula, book, totals, consistency, kitchen),
    [formula, book, totals, consistency, kitchen],
  );
  const forecasting = useRunForecast('run', made.ok ? made.value : null, consistency);
  useEffect(() => {
    runs.put({ kitchen, made, learning, slices, ...forecasting });
  });
  return null;
}
