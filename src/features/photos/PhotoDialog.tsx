'use client';
import { useState } from 'react';
import type { BakeAction, TakenPhoto } from '@/core/bake';
import { PHOTO_LIMITS, type Mark } from '@/core/photo';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { PHOTO_OF_WORD } from '@/wording/photos';
import { words } from '@/wording/screens/photos/PhotoDialog';
import { CrumbFiguresList } from './CrumbFiguresList';
import { CrumbOverlay } from './CrumbOverlay';
import { useCrumb } from './useCrumb';

interface PhotoDialogProps {
  readonly photo: TakenPhoto;
  readonly address: string;
  readonly tap: (action: BakeAction) => Problem | null;
  readonly onClose: () => void;
}

/** One picture, large; of a cut face, what was read from it, to be put right by hand. */
export function PhotoDialog({ photo, address, tap, onClose }: PhotoDialogProps) {
  const { photoId, of, away } = photo;
  const putAway = () => {
    tap({ type: 'photoPutAway', photoId, away: !away });
    onClose();
  };
  return (
    <Dialog wide onClose={onClose} title={PHOTO_OF_WORD[of]} hint={words.notChanged}>
      {of === 'whole' ? (
        <Plain photo={photo} address={address} />
      ) : (
        <CutFace photo={photo} address={address} tap={tap} onClose={onClose} />
      )}
      <Button look="quiet" className="mt-4" onClick={putAway}>
        {away ? words.showAgain : words.putAway}
      </Button>
    </Dialog>
  );
}

const Plain = ({ photo, address }: Pick<PhotoDialogProps, 'photo' | 'address'>) => (
  // its size is known, so nothing moves when it comes; it is ours, and needs no other server to make it smaller
  // eslint-disable-next-line @next/next/no-img-element
  <img
    src={address}
    alt={words.picture(PHOTO_OF_WORD[photo.of])}
    width={photo.widthPx}
    height={photo.heightPx}
    className="max-h-[70vh] w-auto rounded"
  />
);

/** How large a mark is, as a share of the picture's width. */
const SIZES = { small: 0.01, middle: 0.025, large: 0.06 } as const;
type Size = keyof typeof SIZES;

function CutFace({ photo, address, tap, onClose }: PhotoDialogProps) {
  const { preferences } = usePreferences();
  const { crumb, marks, mend } = useCrumb(address, photo.crumb?.marks ?? []);
  const [as, setAs] = useState<Mark['as']>('hole');
  const [size, setSize] = useState<Size>('middle');
  /** Where the keys have brought the mark to. */
  const [hair, setHair] = useState<{ x: number; y: number } | null>(null);
  const [bare, setBare] = useState<'shown' | 'bare'>('shown');
  const read = typeof crumb === 'object' && crumb.ok ? crumb.value : null;
  const figures = read?.figures ?? (crumb === 'broken' ? photo.crumb : null);
  const isFull = marks.length >= PHOTO_LIMITS.marks;
  const markAt = ({ x, y }: { x: number; y: number }) => {
    if (read && !isFull && x >= 0 && x <= 1 && y >= 0 && y <= 1)
      mend([...marks, { x: rounded(x), y: rounded(y), r: SIZES[size], as }]);
  };
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(15rem,2fr)]">
      <div>
        <div
          role="group"
          aria-label={words.marks}
          tabIndex={read ? 0 : -1}
          className={`relative w-fit max-w-full ${read && !isFull ? 'cursor-crosshair' : ''}`}
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            markAt({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
          }}
          onKeyDown={(event) => {
            const [dx, dy] = ARROWS[event.key] ?? [0, 0];
            if (event.key === 'Enter') markAt(hair ?? MIDDLE);
            else if (dx === 0 && dy === 0) return;
            else setHair({ x: within((hair ?? MIDDLE).x + dx), y: within((hair ?? MIDDLE).y + dy) });
            event.preventDefault();
          }}
          onBlur={() => setHair(null)}
        >
          <Plain photo={photo} address={address} />
          {figures && bare === 'shown' && (
            <CrumbOverlay outline={figures.outline} holes={read?.holes ?? null} />
          )}
          {hair && (
            <span
              aria-hidden
              className="pointer-events-none absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-alarm"
              style={{ left: `${100 * hair.x}%`, top: `${100 * hair.y}%` }}
            />
          )}
        </div>
        {read && (
          <Tools
            {...{ as, setAs, size, setSize, bare, setBare }}
            onTakeBack={marks.length === 0 ? null : () => mend(marks.slice(0, -1))}
          />
        )}
        {read && <p className="mt-2 text-sm text-soft">{isFull ? words.enoughMarks : words.pressWhere}</p>}
      </div>
      <div role="status">
        {crumb === 'reading' && <p className="text-soft">{words.reading}</p>}
        {crumb === 'broken' && <p className="text-alarm">{words.cannotRead}</p>}
        {typeof crumb === 'object' && !crumb.ok && <p>{wordProblem(crumb.problem, preferences)}</p>}
        {figures && <CrumbFiguresList figures={figures} large />}
        {read && !same(read.figures, photo.crumb) && (
          <Button
            look="strong"
            className="mt-4 w-full"
            onClick={() => {
              if (!tap({ type: 'photoRead', photoId: photo.photoId, crumb: read.figures })) onClose();
            }}
          >
            {words.save}
          </Button>
        )}
        {photo.crumb && (
          <Button
            look="quiet"
            className="mt-2"
            onClick={() => {
              if (!tap({ type: 'photoRead', photoId: photo.photoId, crumb: null })) onClose();
            }}
          >
            {words.doesNotHold}
          </Button>
        )}
      </div>
    </div>
  );
}

interface ToolsProps {
  as: Mark['as'];
  setAs: (as: Mark['as']) => void;
  size: Size;
  setSize: (size: Size) => void;
  bare: 'shown' | 'bare';
  setBare: (bare: 'shown' | 'bare') => void;
  /** Null: there is no mark. */
  onTakeBack: (() => void) | null;
}

/** What a press on the picture does. */
function Tools({ as, setAs, size, setSize, bare, setBare, onTakeBack }: ToolsProps) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <Segmented
        label={words.whatIsThere}
        value={as}
        onChange={setAs}
        options={[
          { value: 'hole', label: words.aHole },
          { value: 'crumb', label: words.noHole },
        ]}
      />
      <Segmented
        label={words.howLarge}
        value={size}
        onChange={setSize}
        options={[
          { value: 'small', label: words.small },
          { value: 'middle', label: words.middle },
          { value: 'large', label: words.large },
        ]}
      />
      <Button disabled={!onTakeBack} onClick={() => onTakeBack?.()}>
        {words.takeBack}
      </Button>
      <Segmented
        label={words.whatIsShown}
        value={bare}
        onChange={setBare}
        options={[
          { value: 'shown', label: words.withHoles },
          { value: 'bare', label: words.pictureAlone },
        ]}
      />
    </div>
  );
}

const MIDDLE = { x: 0.5, y: 0.5 };
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-0.01, 0],
  ArrowRight: [0.01, 0],
  ArrowUp: [0, -0.01],
  ArrowDown: [0, 0.01],
};
const within = (share: number): number => Math.min(1, Math.max(0, share));
const rounded = (share: number): number => Number(share.toFixed(4));
const same = (one: object, other: object | null): boolean => JSON.stringify(one) === JSON.stringify(other);
