'use client';
import type { AbsorptionLearnt } from '@/core/consistency';
import {
  isOwnId,
  type Estimate,
  type Ingredient,
  type KitchenEntry,
  type StoredEntry,
} from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { Button } from '@/ui/Button';
import { useSaveEntry } from './useSaveEntry';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/larder/FeltFigure';

const spread = ({ value, sd }: Estimate): string =>
  `${formatDecimal(value, 2)} ± ${formatDecimal(Z80 * sd, 2)}`;

/** What "use it" writes down, and where; null: a figure of the baker's own stands there. */
function wishOf(
  ingredient: Ingredient,
  { before, after, feels, of }: AbsorptionLearnt,
  own: StoredEntry | undefined,
  lot: StoredEntry | undefined,
): { readonly entry: KitchenEntry; readonly seen: number; readonly inUse: boolean } | null {
  const near = (a: number | undefined, b: number) => a !== undefined && Math.abs(a - b) < 0.005;
  // a lot carries its own figure, against its kind as it counts without it
  if (lot?.entry.kind === 'lot') {
    const plain = ingredient.lot?.plain ?? ingredient;
    const kind =
      of === 'whole' ? (plain.absorbs?.value ?? 1) : (plain.absorption?.gPerG.value ?? before.value);
    const absorbs = { value: after.value / kind, sd: after.sd / kind };
    const inUse = lot.entry.learntFrom !== undefined && near(lot.entry.absorbs?.value, absorbs.value);
    return { entry: { ...lot.entry, absorbs, learntFrom: feels }, seen: lot.version, inUse };
  }
  const seen = own?.version ?? 0;
  const taught = own && 'learntFrom' in own.entry && own.entry.learntFrom !== undefined;
  if (own?.entry.kind === 'blend') {
    if (of !== 'whole') return null;
    const inUse = taught === true && near(own.entry.absorbs?.value, after.value);
    return { entry: { ...own.entry, absorbs: after, learntFrom: feels }, seen, inUse };
  }
  const bag = own?.entry.kind === 'bag' && !own.away ? own.entry : null;
  // a bag or an ingredient that was measured speaks for itself; a recipe that works is no measurement
  if (isOwnId(ingredient.id) || (bag && !taught && !bag.works)) return null;
  const absorption = { gPerG: after, tauMin: ingredient.absorption?.tauMin ?? 12 };
  const learntNow = of === 'whole' ? ingredient.absorbs?.value : ingredient.absorption?.gPerG.value;
  return {
    entry: {
      kind: 'bag',
      id: ingredient.id,
      bag: feels === 1 ? words.feltOnceAtTheBench : words.feltTimesAtTheBench(feels),
      source: bag?.source ?? '',
      learntFrom: feels,
      ...(bag?.works && { works: bag.works }),
      // what the baker says of it otherwise stays
      changes: { ...bag?.changes, ...(of === 'whole' ? { absorbs: after } : { absorption }) },
    },
    seen,
    inUse: taught === true && near(learntNow, after.value),
  };
}

interface FeltFigureProps {
  ingredient: Ingredient;
  learnt: AbsorptionLearnt;
  own: StoredEntry | undefined;
  /** The lot in use, where lots are told apart. */
  lot: StoredEntry | undefined;
}

/** What the hand taught of this one's absorption beside what was believed, and a way to compute with it. */
export function FeltFigure({ ingredient, learnt, own, lot }: FeltFigureProps) {
  const numbers = useNumbers();
  const { save, busy, trouble } = useSaveEntry();
  const { before, after, feels } = learnt;
  const wish = wishOf(ingredient, learnt, own, lot);
  const news = spread(after) !== spread(before);
  return (
    <div className="mt-2 rounded border border-rule bg-well px-3 py-2 text-sm" data-testid="felt">
      <p>
        {words.feltAtTheBench(
          feels === 1 ? words.once : words.times(feels),
          news ? words.itAbsorbs : words.itAbsorbsAsExpected,
        )}
        <strong className="figure">{numbers.mark(spread(after))}</strong>
        {learnt.of === 'whole' ? words.timesWhatItsLabelSuggests : words.gOfWaterPerG}
        {news && (
          <>
            {words.beforeThat}
            <span className="figure">{numbers.mark(spread(before))}</span>
          </>
        )}
        .
      </p>
      {!news ? null : wish?.inUse ? (
        <p className="text-soft">{words.inUse}</p>
      ) : wish ? (
        <Button
          className="mt-1.5"
          disabled={busy}
          onClick={() => void save({ entry: wish.entry, seen: wish.seen, away: false })}
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
