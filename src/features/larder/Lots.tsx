'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { AbsorptionLearnt } from '@/core/consistency';
import type { Ingredient, LotEntry, StoredEntry } from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { Button, buttonClass } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { useStoredEntries } from '../book/BookProvider';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import type { JarLearnt } from './useLearnt';
import { useSaveEntry } from './useSaveEntry';
import { MONTHS } from '@/wording/calendar';
import { words } from '@/wording/screens/larder/Lots';

const LotDialog = dynamic(
  patiently(() => import('./LotDialog').then((module) => module.LotDialog)),
  { ssr: false },
);

type StoredLot = StoredEntry & { readonly entry: LotEntry };
const isLotOf =
  (ingredientId: string) =>
  (stored: StoredEntry): stored is StoredLot =>
    stored.entry.kind === 'lot' && stored.entry.of === ingredientId && !stored.away;

/** A day as written on a pack: it is the same day in every zone. */
function packDay(day: string): string {
  const [year, month, date] = day.split('-').map(Number);
  return `${date} ${MONTHS[(month ?? 1) - 1]} ${year}`;
}

interface LotsProps {
  ingredient: Ingredient;
  learnt: readonly AbsorptionLearnt[];
  jars: readonly JarLearnt[];
}

/** The bags and jars of one ingredient: the one in use first, and what has been learnt of each. */
export function Lots({ ingredient, learnt, jars }: LotsProps) {
  const { stored } = useStoredEntries();
  const { save, busy, trouble } = useSaveEntry();
  const [writing, setWriting] = useState<StoredLot | 'new' | null>(null);
  const open = ingredient.lot?.id;
  const lots = stored
    .filter(isLotOf(ingredient.id))
    .sort(
      (a, b) =>
        Number(b.id === open) - Number(a.id === open) ||
        (b.entry.openedOn ?? '').localeCompare(a.entry.openedOn ?? ''),
    );
  return (
    <section aria-label={words.lots} className="mt-3 border-t border-rule pt-2" data-testid="lots">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h3 className="text-base font-semibold">{words.lots}</h3>
        <Button look="quiet" onClick={() => setWriting('new')}>
          <Plus size={15} aria-hidden />
          {words.newLot}
        </Button>
      </div>
      {lots.length === 0 && <p className="text-sm text-soft">{words.aLotIsOneBagOr}</p>}
      <ul>
        {lots.map((lot) => (
          <li key={lot.id} className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1 text-sm">
            <LotLine
              lot={lot}
              inUse={lot.id === open}
              learnt={learnt.find(({ lotId }) => lotId === lot.id)}
              jar={jars.find(({ lotId }) => lotId === lot.id)}
            />
            <KitchenLink
              href={`/logbook?lot=${lot.id}`}
              aria-label={words.bakesWithLot(lot.entry.code)}
              className={buttonClass('quiet', 'table')}
            >
              {words.bakes}
            </KitchenLink>
            <Button look="quiet" aria-label={words.changeLot(lot.entry.code)} onClick={() => setWriting(lot)}>
              {words.change}
            </Button>
            {lot.entry.open && (
              <Button
                look="quiet"
                disabled={busy}
                aria-label={words.finishLot(lot.entry.code)}
                onClick={() =>
                  void save({ entry: { ...lot.entry, open: false }, seen: lot.version, away: false })
                }
              >
                {words.finished}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {trouble && (
        <p role="alert" className="mt-1 text-sm text-alarm">
          {trouble}
        </p>
      )}
      {writing && (
        <LotDialog
          ingredient={ingredient.lot?.plain ?? ingredient}
          before={writing === 'new' ? null : writing}
          onClose={() => setWriting(null)}
        />
      )}
    </section>
  );
}

interface LotLineProps {
  lot: StoredLot;
  inUse: boolean;
  learnt: AbsorptionLearnt | undefined;
  jar: JarLearnt | undefined;
}

function LotLine({ lot: { entry }, inUse, learnt, jar }: LotLineProps) {
  const numbers = useNumbers();
  // marks are read with what is said of the jar, so they tell how it stands to that
  const marked = jar && jar.vigour.value * (entry.vigour?.value ?? 1);
  const facts = [
    entry.openedOn && words.opened(packDay(entry.openedOn)),
    entry.bestBefore && words.bestBefore(packDay(entry.bestBefore)),
    entry.vigour && words.worksAt(Math.round(100 * entry.vigour.value)),
    learnt && words.absorbs(numbers.decimal(learnt.after.value / learnt.before.value, 2)),
    marked && words.marksSay(Math.round(100 * marked), Math.round(100 * Z80 * jar.vigour.cv * marked)),
  ].filter(Boolean);
  return (
    <span className="min-w-0 flex-1">
      <strong>{entry.code}</strong>
      {inUse && <span className="ml-2 rounded border border-edge px-1.5">{words.inUse}</span>}
      <span className="ml-2 text-soft">{facts.join(' · ')}</span>
    </span>
  );
}
