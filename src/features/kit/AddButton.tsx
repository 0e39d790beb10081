'use client';
import { Plus } from 'lucide-react';
import { KIT_LIMITS } from '@/core/kit';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/kit/AddButton';

/** One more of a list that has an end: at the end it says so instead of taking what could not be saved. */
export function AddButton({ word, count, onAdd }: { word: string; count: number; onAdd: () => void }) {
  const full = count >= KIT_LIMITS.each;
  return (
    <>
      <Button className="mt-2" disabled={full} onClick={onAdd}>
        <Plus size={16} aria-hidden /> {word}
      </Button>
      {full && (
        <p role="status" className="mt-1 text-sm text-soft">
          {words.areTheMostRemoveOne(KIT_LIMITS.each)}
        </p>
      )}
    </>
  );
}
