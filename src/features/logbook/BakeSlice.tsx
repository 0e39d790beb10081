'use client';
import type { TakenPhoto } from '@/core/bake';
import type { SliceFigures } from '@/core/slice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';
import { useExpectedSlice } from './useExpectedSlice';
import { words } from '@/wording/screens/logbook/BakeSlice';

interface BakeSliceProps {
  readonly bakeId: string;
  readonly photos: ReadonlyMap<string, TakenPhoto>;
}

/** The slice that was to be expected, beside the one on the board. */
export function BakeSlice({ bakeId, photos }: BakeSliceProps) {
  const kitchen = useKitchen();
  const say = useSliceWords();
  const slice = useExpectedSlice(bakeId);
  const real = [...photos.values()].findLast(({ of, away }) => of === 'cut' && !away);
  return (
    <div className="mb-3">
      <div className={real ? 'grid grid-cols-2 gap-4' : ''}>
        <figure>
          <div className="h-32">
            {slice && <SlicePicture slice={slice} label={say(slice)} className="h-full w-full" />}
          </div>
          {slice && (
            <figcaption className="text-center text-sm text-soft">
              {real ? words.sliceThatWasExpected : words.didYours}
            </figcaption>
          )}
        </figure>
        {real && (
          <figure>
            {/* eslint-disable-next-line @next/next/no-img-element -- ours, small already */}
            <img
              src={`${kitchen.api(`/bakes/${bakeId}/photos/${real.photoId}`)}?small`}
              alt={words.sliceThatCame}
              className="mx-auto h-32 rounded object-contain"
            />
            <figcaption className="text-center text-sm text-soft">{words.sliceThatCame}</figcaption>
          </figure>
        )}
      </div>
      {slice && real?.crumb && <SideBySide slice={slice} crumb={real.crumb} />}
    </div>
  );
}

/** What both say, figure by figure. Gas is of the whole volume, holes are what an eye and a lens tell on a cut: the second is always less. */
function SideBySide({ slice, crumb }: { slice: SliceFigures; crumb: NonNullable<TakenPhoto['crumb']> }) {
  const numbers = useNumbers();
  const percent = (share: number) => `${numbers.decimal(100 * share, 0)} %`;
  const expectedForm = (slice.heightMm * (1 + Math.max(0, slice.crown))) / slice.widthMm;
  const rows = [
    [words.form, numbers.decimal(expectedForm, 2), numbers.decimal(crumb.heightToWidth, 2)],
    [words.openness, words.gas(percent(slice.gas)), words.holes(percent(crumb.porosityPercent / 100))],
    [words.evenness, numbers.decimal(slice.evenness, 2), numbers.decimal(crumb.evenness, 2)],
    [words.denseLine, percent(slice.streak), percent(crumb.denseLinePercent / 100)],
  ] as const;
  return (
    <table className="mt-2 w-full text-sm" data-testid="slices">
      <thead>
        <tr className="text-soft">
          <td />
          <th scope="col" className="text-right font-normal">
            {words.expected}
          </th>
          <th scope="col" className="text-right font-normal">
            {words.onTheBoard}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([word, expected, read]) => (
          <tr key={word} className="border-t border-rule">
            <th scope="row" className="py-1 text-left font-normal">
              {word}
            </th>
            <td className="py-1 text-right">{expected}</td>
            <td className="py-1 text-right font-semibold">{read}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
