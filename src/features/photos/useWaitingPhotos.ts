'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { PhotoOf } from '@/core/photo';
import { newUuid } from '@/ui/newUuid';
import { whoIsAt } from '../bench/whoStore';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { Waiting } from '../queue/queue';
import type { WaitingPhoto } from '../queue/routes';
import { sendNow, useWaiting } from '../queue/useQueue';
import { words } from '@/wording/screens/photos/PhotoSection';

export interface PhotoWaiting {
  readonly photoId: string;
  readonly of: PhotoOf;
  readonly address: string;
  readonly refused: Waiting['refused'];
}

/** Pictures of a bake that the server has not got yet, shown from this device; and how one more is put among them. */
export function useWaitingPhotos(bakeId: string) {
  const kitchen = useKitchen();
  const { queue, waiting } = useWaiting();
  const lane = kitchen.lane(`photo:${bakeId}`);
  const mine = useMemo(() => waiting.filter((entry) => entry.lane === lane), [lane, waiting]);
  const [addresses, setAddresses] = useState<ReadonlyMap<string, string>>(new Map());
  useEffect(() => {
    const made = new Map(
      mine.map(({ id, body }) => [id, URL.createObjectURL((body as WaitingPhoto).picture)]),
    );
    // eslint-disable-next-line react-hooks/set-state-in-effect -- an address is made in the browser, and let go of
    setAddresses(made);
    return () => made.forEach((address) => URL.revokeObjectURL(address));
  }, [mine]);
  const add = useCallback(
    async (photo: Pick<WaitingPhoto, 'of' | 'rungId' | 'picture'>): Promise<string> => {
      const id = newUuid();
      const body: WaitingPhoto = { ...photo, by: whoIsAt(kitchen.address) };
      await queue.put({ id, lane, what: words.aPicture, body });
      sendNow();
      return id;
    },
    [kitchen.address, lane, queue],
  );
  const photos = mine.flatMap(({ id, body, refused }): PhotoWaiting[] => {
    const address = addresses.get(id);
    return address ? [{ photoId: id, of: (body as WaitingPhoto).of, address, refused }] : [];
  });
  return { photos, add };
}
