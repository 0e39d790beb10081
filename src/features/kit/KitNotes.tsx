'use client';
import { KIT_LIMITS } from '@/core/kit';
import { words } from '@/wording/screens/kit/KitNotes';
import { KitCard, type KitProps } from './KitCard';

/** What is good to know of a kitchen and computes nothing. */
export function KitNotes({ kit: { notes }, change }: KitProps) {
  return (
    <KitCard title={words.title}>
      <textarea
        aria-label={words.title}
        placeholder={words.example}
        className="mt-1 min-h-20 w-full rounded-md border border-edge bg-surface px-2 py-1 text-sm"
        value={notes}
        maxLength={KIT_LIMITS.notes}
        onChange={(event) => change({ notes: event.currentTarget.value })}
      />
    </KitCard>
  );
}
