'use client';
import { useMemo } from 'react';
import { allergenStatement } from '@/core/cautions';
import type { SliceFigures } from '@/core/slice';
import { ALLERGEN_WORD } from '@/wording/allergens';
import { words } from '@/wording/screens/paper/PaperFoot';
import { useBook, useNameOf } from '../book/BookProvider';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';

interface PaperFootProps {
  stages: Parameters<typeof allergenStatement>[0]['stages'];
  slice: SliceFigures | null;
}

/** At the foot of a page on the wall: what it contains, and the slice to expect. */
export function PaperFoot({ stages, slice }: PaperFootProps) {
  const book = useBook();
  const nameOf = useNameOf();
  const sliceWords = useSliceWords();
  const { allergens, unknownIds } = useMemo(() => allergenStatement({ stages }, book), [book, stages]);
  return (
    <div
      className="mt-3 hidden items-start gap-6 border-t border-ink pt-2 text-sm print:flex"
      data-testid="paper-foot"
    >
      {slice && (
        <SlicePicture
          slice={slice}
          label={sliceWords(slice)}
          name="paper-slice"
          className="h-20 w-32 shrink-0"
        />
      )}
      <p>
        <strong>
          {allergens.length > 0
            ? words.contains(allergens.map(({ allergen }) => ALLERGEN_WORD[allergen]).join(', '))
            : words.noneFound}
        </strong>{' '}
        {unknownIds.length > 0 && words.ofNothingIsKnown(unknownIds.map(nameOf).join(', '))}{' '}
        {words.labelsDecide}
      </p>
    </div>
  );
}
