'use client';
import { useEffect, useState } from 'react';
import type { AbsorptionLearnt } from '@/core/consistency';
import { isOwnId, type BagEntry, type Estimate, type Ingredient, type StoredEntry } from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { Button } from '@/ui/Button';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { useSaveEntry } from './useSaveEntry';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/larder/FeltFigure';

/** What hands have taught of each powder, asked once when the larder is opened. */
export function useAbsorption(): ReadonlyMap<string, AbsorptionLearnt> {
  const [learnt, setLearnt] = useState<ReadonlyMap<string, AbsorptionLearnt>>(new Map());
  const kitchen = useKitchen();
  useEffect(() => {
    let here = true;
    void ask<{ learnt: AbsorptionLearnt[] }>(kitchen.api('/ingredients/learnt')).then(
      (answer) =>
        here &&
        answer.kind === 'ok' &&
        setLearnt(new Map(answer.value.learnt.map((each) => [each.ingredientId, each]))),
    );
    return () => {
      here = false;
    };
  }, [kitchen]);
  return learnt;
}

const spread = ({ value, sd }: Estimate): string =>
  `${formatDecimal(value, 2)} ± ${formatDecimal(Z80 * sd, 2)}`;

interface FeltFigureProps {
  ingredient: Ingredient;
  learnt: AbsorptionLearnt;
  own: StoredEntry | undefined;
}

/** What the hand taught of this one's absorption beside what was believed, and a way to compute with it. */
export function FeltFigure({ ingredient, learnt, own }: FeltFigureProps) {
  const numbers = useNumbers();
  const { save, busy, trouble } = useSaveEntry();
  const { before, after, feels } = learnt;
  const { absorption } = ingredient;
  const bag = own?.entry.kind === 'bag' && !own.away ? own.entry : null;
  const inUse =
    bag?.learntFrom !== undefined && Math.abs((absorption?.gPerG.value ?? 0) - after.value) < 0.005;
  const news = spread(after) !== spread(before);
  // a bag or an ingredient that was measured speaks for itself
  const may = !isOwnId(ingredient.id) && (!bag || bag.learntFrom !== undefined);
  const entry: BagEntry = {
    kind: 'bag',
    id: ingredient.id,
    bag: feels === 1 ? words.feltOnceAtTheBench : words.feltTimesAtTheBench(feels),
    source: '',
    learntFrom: feels,
    changes: { absorption: { gPerG: after, tauMin: absorption?.tauMin ?? 12 } },
  };
  return (
    <div className="mt-2 rounded border border-rule bg-well px-3 py-2 text-sm" data-testid="felt">
      <p>
        {words.feltAtTheBench(
          feels === 1 ? words.once : words.times(feels),
          news ? words.itAbsorbs : words.itAbsorbsAsExpected,
        )}
        <strong className="figure">{numbers.mark(spread(after))}</strong>
        {words.gOfWaterPerG}
        {news && (
          <>
            {words.beforeThat}
            <span className="figure">{numbers.mark(spread(before))}</span>
          </>
        )}
        .
      </p>
      {!news ? null : inUse ? (
        <p className="text-soft">{words.inUse}</p>
      ) : may ? (
        <Button
          className="mt-1.5"
          disabled={busy}
          onClick={() => void save({ entry, seen: own?.version ?? 0, away: false })}
        >
          {words.useIt}
        </Button>
      ) : (
        <p className="text-soft">{words.yourOwnFigureStandsChange}</p>
      )}
      {trouble && (
        <p role="alert" className="mt-1 text-alarm">
          {trouble}
        </p>
      )}
    </div>
  );
}
