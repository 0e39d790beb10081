'use client';
import { useEffect, useState } from 'react';
import type { SliceFigures } from '@/core/slice';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';
import { words } from '@/wording/screens/logbook/BakeSlice';

/** The slice that was to be expected, to be held beside the one on the board. */
export function BakeSlice({ bakeId }: { bakeId: string }) {
  const kitchen = useKitchen();
  const say = useSliceWords();
  const [slice, setSlice] = useState<SliceFigures | null>(null);
  useEffect(() => {
    const leaving = new AbortController();
    void ask<{ slice: SliceFigures | null }>(kitchen.api(`/bakes/${bakeId}/slice`), undefined, {
      signal: leaving.signal,
    }).then((answer) => !leaving.signal.aborted && answer.kind === 'ok' && setSlice(answer.value.slice));
    return () => leaving.abort();
  }, [bakeId, kitchen]);
  return (
    <figure className="mb-3">
      <div className="h-32">
        {slice && <SlicePicture slice={slice} label={say(slice)} className="h-full w-full" />}
      </div>
      {slice && (
        <figcaption className="text-center text-sm text-soft">{words.sliceThatWasExpected}</figcaption>
      )}
    </figure>
  );
}
