'use client';
import { Camera, ImageUp } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import type { BakeAction, BakeState, TakenPhoto } from '@/core/bake';
import { PHOTO_OF, type PhotoOf } from '@/core/photo';
import type { Problem } from '@/core/result';
import type { Ladder } from '@/core/trial';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { Segmented } from '@/ui/Segmented';
import { useKitchen, useMay } from '../kitchen/KitchenProvider';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import { PHOTO_OF_WORD } from '@/wording/photos';
import { words } from '@/wording/screens/photos/PhotoSection';
import { readyPhoto } from './readyPhoto';
import { CrumbReader, pictureAt } from './useCrumb';
import { useWaitingPhotos, type PhotoWaiting } from './useWaitingPhotos';

const PhotoDialog = dynamic(
  patiently(() => import('./PhotoDialog').then((module) => module.PhotoDialog)),
  { ssr: false },
);

interface PhotoSectionProps {
  readonly bakeId: string;
  readonly ladder?: Ladder | undefined;
  readonly state: BakeState;
  readonly tap: (action: BakeAction) => Problem | null;
}

/** Pictures of a bake: taken or chosen here, seen at once, sent when the network is there. */
export function PhotoSection({ bakeId, ladder, state, tap }: PhotoSectionProps) {
  const kitchen = useKitchen();
  const mayPress = useMay() !== 'look';
  const { photos: waiting, add } = useWaitingPhotos(bakeId);
  const [rung, setRung] = useState('');
  const [of, setOf] = useState<PhotoOf>('cut');
  const [problem, setProblem] = useState<Problem | null>(null);
  const [isReadying, setReadying] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const [withAway, setWithAway] = useState(false);
  const addressOf = (photoId: string) => kitchen.api(`/bakes/${bakeId}/photos/${photoId}`);
  const mine = useReadOnArrival({ state, tap, addressOf });
  const shown = [...state.photos.values()].filter(({ away }) => withAway || !away);
  const awayCount = [...state.photos.values()].filter(({ away }) => away).length;
  const opened = open === null ? undefined : state.photos.get(open);

  const take = async (files: FileList | null) => {
    setProblem(null);
    for (const file of files ?? []) {
      setReadying(true);
      const ready = await readyPhoto(file);
      setReadying(false);
      if (!ready.ok) return setProblem(ready.problem);
      mine.add(await add({ of, rungId: rung === '' ? null : rung, picture: ready.value }));
    }
  };
  return (
    <section aria-labelledby="photos-title" className="docket rounded-b-md px-5 pt-4 pb-5" data-testid="photos">
      <h2 id="photos-title" className="text-xl">
        {words.photographs}
      </h2>
      {mayPress && (
        <div className="no-print mt-2 flex flex-wrap items-center gap-3">
          <Segmented
            label={words.whatItShows}
            className="max-w-full flex-wrap"
            value={of}
            onChange={setOf}
            options={PHOTO_OF.map((value) => ({ value, label: words.shows[value] }))}
          />
          {ladder && (
            <Segmented
              label={words.whichBread}
              className="max-w-full flex-wrap"
              value={rung}
              onChange={setRung}
              options={[{ value: '', label: words.allBreads }, ...ladder.rungs.map(({ id, code }) => ({ value: id, label: code }))]}
            />
          )}
          <FileButton icon={<Camera size={18} aria-hidden />} label={words.takePicture} camera onFiles={take} />
          <FileButton icon={<ImageUp size={18} aria-hidden />} label={words.chooseFile} onFiles={take} />
        </div>
      )}
      <p role="status" className="text-sm text-soft">
        {isReadying ? words.readying : ''}
      </p>
      {problem && <Trouble problem={problem} />}
      {shown.length + waiting.length === 0 ? (
        <p className="mt-3 text-soft">{words.noneYet}</p>
      ) : (
        <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-3">
          {shown.map((photo) => (
            <PhotoTile
              key={photo.photoId}
              photo={photo}
              code={ladder?.rungs.find(({ id }) => id === photo.rungId)?.code}
              address={`${addressOf(photo.photoId)}?small`}
              onOpen={() => setOpen(photo.photoId)}
            />
          ))}
          {waiting
            .filter(({ photoId }) => !state.photos.has(photoId))
            .map((photo) => (
              <WaitingTile key={photo.photoId} photo={photo} />
            ))}
        </ul>
      )}
      {awayCount > 0 && (
        <Button look="quiet" className="no-print mt-2" onClick={() => setWithAway(!withAway)}>
          {withAway ? words.hideAway : words.showAway(awayCount)}
        </Button>
      )}
      {opened && (
        <PhotoDialog photo={opened} address={addressOf(opened.photoId)} tap={tap} onClose={() => setOpen(null)} />
      )}
    </section>
  );
} // prettier-ignore

function Trouble({ problem }: { problem: Problem }) {
  const { preferences } = usePreferences();
  return (
    <p role="alert" className="mt-2 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
      {wordProblem(problem, preferences)}
    </p>
  );
}

/** A picture that the server has not got yet. */
function WaitingTile({ photo: { address, of: shows, refused } }: { photo: PhotoWaiting }) {
  const { preferences } = usePreferences();
  const reason = refused?.problem ? wordProblem(refused.problem, preferences) : words.notTaken;
  return (
    <li>
      <Thumb address={address} alt={words.picture(PHOTO_OF_WORD[shows])} />
      <p className={`text-sm ${refused ? 'text-alarm' : 'text-soft'}`}>{refused ? reason : words.waiting}</p>
    </li>
  );
}

/** The crumb of a cut face that was added here is read as soon as the server has the picture; others are read when they are opened. */
function useReadOnArrival({ state, tap, addressOf }: Pick<PhotoSectionProps, 'state' | 'tap'> & { addressOf: (photoId: string) => string }) {
  const mine = useRef(new Set<string>());
  const latest = useRef({ tap, addressOf });
  useEffect(() => {
    latest.current = { tap, addressOf };
  });
  useEffect(() => {
    for (const { photoId, of } of state.photos.values()) {
      if (!mine.current.delete(photoId) || of === 'whole') continue;
      const reader = new CrumbReader();
      void pictureAt(latest.current.addressOf(photoId)).then(async (picture) => {
        const read = picture ? await reader.ask({ kind: 'read', picture, marks: [] }) : 'broken';
        reader.end();
        if (read !== 'broken' && read.ok) latest.current.tap({ type: 'photoRead', photoId, crumb: read.value.figures });
      });
    }
  }, [state.photos]);
  return { add: (photoId: string) => void mine.current.add(photoId) };
} // prettier-ignore

function PhotoTile({
  photo,
  code,
  address,
  onOpen,
}: {
  photo: TakenPhoto;
  code: string | undefined;
  address: string;
  onOpen: () => void;
}) {
  const numbers = useNumbers();
  const time = useKitchenTime();
  return (
    <li>
      <button type="button" onClick={onOpen} className="block w-full cursor-pointer text-left">
        <Thumb address={address} alt={words.picture(PHOTO_OF_WORD[photo.of])} />
        <span className="block text-sm font-semibold">
          {PHOTO_OF_WORD[photo.of]}
          {code !== undefined && ` ${code}`}
          {photo.away && words.isAway}
        </span>
        <span className="block text-sm text-soft">
          {time.dayAndClock(photo.atMs)}
          {photo.crumb && words.porous(numbers.decimal(photo.crumb.porosityPercent, 0))}
        </span>
      </button>
    </li>
  );
}

/** A small picture; what cannot be shown (it is on another machine, or was lost on the way) says so in its place. */
function Thumb({ address, alt }: { address: string; alt: string }) {
  const [broken, setBroken] = useState(false);
  return broken ? (
    <span className="grid aspect-[4/3] place-items-center rounded bg-well p-2 text-center text-sm text-soft">
      {words.notHere}
    </span>
  ) : (
    // eslint-disable-next-line @next/next/no-img-element -- ours, small already
    <img
      src={address}
      alt={alt}
      onError={() => setBroken(true)}
      className="aspect-[4/3] w-full rounded bg-well object-cover"
    />
  );
}

interface FileButtonProps {
  icon: React.ReactNode;
  label: string;
  camera?: boolean;
  onFiles: (files: FileList | null) => Promise<void>;
}

/** The platform's own way to a camera or a file, as a button. */
function FileButton({ icon, label, camera = false, onFiles }: FileButtonProps) {
  return (
    <label className="button button-plain button-table relative min-h-10 cursor-pointer gap-2 px-3 focus-within:outline-2">
      {icon}
      {label}
      <input
        type="file"
        accept="image/*,.heic,.heif"
        multiple={!camera}
        {...(camera && { capture: 'environment' as const })}
        onChange={(event) => {
          const input = event.currentTarget;
          // the same file once more is one more wish
          void onFiles(input.files).finally(() => (input.value = ''));
        }}
        className="absolute inset-0 cursor-pointer opacity-0"
      />
    </label>
  );
}
