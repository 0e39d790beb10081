'use client';
import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { StartersDocument } from '@/core/starter/starterDocument';
import { editStarters, type StarterEdit } from '@/core/starter/starterEdit';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/starter/starters';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { useStoredKit } from '../kit/KitProvider';
import type { Stored } from '../versioned/useVersioned';
import { VersionedStatus } from '../versioned/VersionedStatus';
import { StarterCard } from './StarterCard';
import { useStarters } from './useStarters';

const StarterDialog = dynamic(
  patiently(() => import('./StarterDialog').then((module) => module.StarterDialog)),
  { ssr: false },
);

/** The starters of the kitchen: when each is ripe and fed next, and what happened to it. */
export function StartersPage({
  stored,
  nowMs: drawnMs,
}: {
  stored: Stored<StartersDocument>;
  nowMs: number;
}) {
  const { value, change, save } = useStarters(stored);
  const { kit } = useStoredKit();
  const [offsetMs] = useState(() => clockOffsetMs(drawnMs));
  const nowMs = Math.floor(useNow(offsetMs, drawnMs) / 60_000) * 60_000;
  const [writing, setWriting] = useState<{ readonly id: string | null } | null>(null);
  const edit = (made: StarterEdit): string | null => {
    const next = editStarters(value, made, nowMs);
    if (!next.ok) return next.problem.code === 'tooMany' ? words.dialog.tooMany : words.form.later;
    change(next.value);
    return null;
  };
  const was = value.starters.find(({ id }) => id === writing?.id) ?? null;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="text-3xl">{words.starters}</h1>
        <VersionedStatus save={save} testId="starters-save" />
        <Button className="ml-auto min-h-11" onClick={() => setWriting({ id: null })}>
          <Plus size={16} aria-hidden />
          {words.add}
        </Button>
      </div>
      <p className="mb-4 max-w-prose text-sm text-soft">{words.about}</p>
      {value.starters.length === 0 ? (
        <div className="docket rounded-b-md p-6">
          <p className="font-head text-2xl font-semibold">{words.none}</p>
          <p className="mt-1 max-w-prose text-soft">{words.noneHint}</p>
        </div>
      ) : (
        <ul className="grid items-start gap-4 lg:grid-cols-2">
          {value.starters.map((starter) => (
            <StarterCard
              key={starter.id}
              starter={starter}
              kit={kit}
              nowMs={nowMs}
              edit={edit}
              onChange={() => setWriting({ id: starter.id })}
            />
          ))}
        </ul>
      )}
      {writing && <StarterDialog was={was} nowMs={nowMs} edit={edit} onClose={() => setWriting(null)} />}
    </>
  );
}
