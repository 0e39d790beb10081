'use client';
import type { TakenPhoto } from '@/core/bake';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useExpectedSlice } from '../logbook/useExpectedSlice';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';
import { words } from '@/wording/screens/compare/ComparePage';

interface ComparedSliceProps {
  readonly bakeId: string;
  readonly head: string;
  readonly photos: ReadonlyMap<string, TakenPhoto>;
}

/** Nothing is told to a bake's log from where bakes are compared. */
const NEVER_NEW = 0;

/** A bake's slice as it was expected, and the one on the board. */
export function ComparedSlice({ bakeId, head, photos }: ComparedSliceProps) {
  const kitchen = useKitchen();
  const say = useSliceWords();
  const real = [...photos.values()].findLast(({ of, away }) => of === 'cut' && !away);
  const { slice } = useExpectedSlice(bakeId, NEVER_NEW);
  return (
    <li>
      <strong className="block text-sm">{head}</strong>
      <div className="h-28">
        {slice && (
          <SlicePicture slice={slice} name={`slice-${bakeId}`} label={say(slice)} className="h-full w-full" />
        )}
      </div>
      <span className="block text-center text-sm text-soft">{words.expected}</span>
      {real ? (
        // eslint-disable-next-line @next/next/no-img-element -- ours, small already
        <img
          src={`${kitchen.api(`/bakes/${bakeId}/photos/${real.photoId}`)}?small`}
          alt={`${head}: ${words.onTheBoard}`}
          className="mx-auto mt-2 h-28 rounded object-contain"
        />
      ) : (
        <span className="mt-2 grid h-28 place-items-center rounded bg-well text-sm text-soft">
          {words.noPicture}
        </span>
      )}
      <span className="block text-center text-sm text-soft">{words.onTheBoard}</span>
    </li>
  );
}
