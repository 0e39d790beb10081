'use client';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';
import { useSheetRun } from '../sheet/SheetContext';

/** The slice to expect of what stands on the sheet; its place is kept while it is computed. */
export function SheetSlice({ className }: { className: string }) {
  const run = useSheetRun();
  const words = useSliceWords();
  const slice = run?.forecast?.slice;
  return (
    <figure className={className}>
      {slice && <SlicePicture slice={slice} label={words(slice)} className="h-full w-full" />}
    </figure>
  );
}
