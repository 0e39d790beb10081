'use client';
import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import type { BakeRecord } from '@/core/bake';
import { newUuid } from '@/ui/newUuid';
import { useBench } from '../bench/useBench';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/tasting/TastePage';
import { TastingForm } from './TastingForm';

interface TastePageProps {
  readonly bake: BakeRecord;
  readonly nowMs: number;
  readonly epoch: string;
  /** A card that is put right; null: a new one. */
  readonly cardId: string | null;
}

const DAY_MS = 86_400_000;

/** The tasting card of a bake, on the baker's own screen: one taster after the other, none seeing what another said. */
export function TastePage({ bake, nowMs, epoch, cardId }: TastePageProps) {
  const { state, outbox, tap } = useBench(bake, { nowMs, epoch });
  const { preferences } = usePreferences();
  const kitchen = useKitchen();
  const time = useKitchenTime();
  const card = cardId === null ? undefined : state.tastings.get(cardId);
  const [saved, setSaved] = useState<string | null>(null);
  return (
    <>
      <KitchenLink
        href={`/logbook/${bake.id}`}
        className="inline-flex min-h-8 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.theBake}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{card ? words.putRight : words.tasting(bake.sheet.name)}</h1>
      <p className="text-soft">{words.ofThe(time.dayAndYear(bake.startedAtMs))}</p>
      {outbox.refused && (
        <p role="alert" className="my-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {wordProblem(outbox.refused, preferences)}
        </p>
      )}
      {saved !== null && (
        <p role="status" className="my-3 rounded border border-edge bg-surface px-3 py-2">
          {words.saved(saved)}
        </p>
      )}
      <TastingForm
        key={cardId ?? 'new'}
        rungs={bake.sheet.ladder?.rungs ?? []}
        lane={card ? null : kitchen.lane(`form:taste-${bake.id}`)}
        card={card}
        // bread of yesterday is tasted as such, unless somebody says otherwise
        first={nowMs - (state.endedAtMs ?? bake.startedAtMs) > 0.7 * DAY_MS ? 'nextDay' : 'fresh'}
        onCard={(tasting) => {
          const problem = tap({ type: 'tasted', tastingId: cardId ?? newUuid(), tasting });
          if (!problem) {
            setSaved(tasting.taster ?? words.somebody);
            window.scrollTo({ top: 0 });
          }
          return problem === null;
        }}
      />
    </>
  );
}
