'use client';
import type { TakenPhoto } from '@/core/bake';
import { evennessRead, formOf, lineRead, type SliceFigures } from '@/core/slice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { SlicePicture } from '../run/SlicePicture';
import { useSliceWords } from '../run/useSliceWords';
import { useExpectedSlice } from './useExpectedSlice';
import { words } from '@/wording/screens/logbook/BakeSlice';

interface BakeSliceProps {
  readonly bakeId: string;
  readonly photos: ReadonlyMap<string, TakenPhoto>;
  /** See {@link useExpectedSlice}. */
  readonly known: number | null;
}

/** The slice that was to be expected, beside the one on the board. */
export function BakeSlice({ bakeId, photos, known }: BakeSliceProps) {
  const kitchen = useKitchen();
  const say = useSliceWords();
  const real = [...photos.values()].findLast(({ of, away }) => of === 'cut' && !away);
  const { slice, next, cuts } = useExpectedSlice(bakeId, known);
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
      {slice && real?.crumb && <SideBySide slice={slice} crumb={real.crumb} next={next} cuts={cuts} />}
    </div>
  );
}

interface SideBySideProps {
  readonly slice: SliceFigures;
  readonly crumb: NonNullable<TakenPhoto['crumb']>;
  readonly next: SliceFigures | null;
  readonly cuts: number;
}

/** What the drawing, the picture, and with it the next drawing say, figure by figure, all as a picture's reader would call it. */
function SideBySide({ slice, crumb, next, cuts }: SideBySideProps) {
  const numbers = useNumbers();
  const percent = (share: number) => `${numbers.decimal(100 * share, 0)} %`;
  const rows = [
    [words.form, numbers.fixed(crumb.heightToWidth, 2), (of: SliceFigures) => numbers.fixed(formOf(of), 2)],
    [words.openness, percent(crumb.porosityPercent / 100), (of: SliceFigures) => percent(of.seen)],
    [words.evenness, numbers.fixed(crumb.evenness, 2), (of: SliceFigures) => numbers.fixed(evennessRead(of.evenness), 2)],
    [words.denseLine, percent(crumb.denseLinePercent / 100), (of: SliceFigures) => percent(lineRead(of.streak))],
  ] as const; // prettier-ignore
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
          {next && (
            <th scope="col" className="text-right font-normal">
              {words.nextTime(cuts)}
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {rows.map(([word, read, drawn]) => (
          <tr key={word} className="border-t border-rule">
            <th scope="row" className="py-1 text-left font-normal">
              {word}
            </th>
            <td className="py-1 text-right">{drawn(slice)}</td>
            <td className="py-1 text-right font-semibold">{read}</td>
            {next && <td className="py-1 text-right">{drawn(next)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
