import { addPhoto, photo } from '@/server/photos';
import { askedPhotoSchema } from '@/core/requests';
import { readAs } from '@/core/readAs';
import { invalid } from '@/server/failure';
import { knownId } from '@/server/knownId';
import { answer, notFound, reading } from '../../../../../../edge';
import { kitchenOf } from '../../../../../../kitchenOf';

interface PhotoParams {
  readonly params: Promise<{ kitchen: string; id: string; photo: string }>;
}

/** A picture of a bake, which is the body; what it shows stands in the address. */
export const POST = (request: Request, { params }: PhotoParams): Promise<Response> =>
  reading(async () => {
    const { id, photo: photoId } = await params;
    const bakeId = knownId(id);
    const asked = readAs(askedPhotoSchema, {
      photoId,
      ...Object.fromEntries(new URL(request.url).searchParams),
    });
    if (!bakeId) return notFound();
    if (!asked.ok) return answer(invalid(asked.problem));
    const bytes = Buffer.from(await request.arrayBuffer());
    return answer(await addPhoto(await kitchenOf(params), bakeId, { ...asked.value, bytes }), 201);
  });

/** The picture; `?small` for lists. It never changes: a browser asks for it once. */
export const GET = (request: Request, { params }: PhotoParams): Promise<Response> =>
  reading(async () => {
    const { id, photo: photoId } = await params;
    const [bakeId, known] = [knownId(id), knownId(photoId)];
    const small = new URL(request.url).searchParams.has('small');
    const bytes =
      bakeId && known ? await photo(await kitchenOf(params), { bakeId, photoId: known, small }) : null;
    return (
      bytes &&
      new Response(new Uint8Array(bytes), {
        headers: {
          'content-type': 'image/jpeg',
          'content-length': String(bytes.length),
          'cache-control': 'private, max-age=31536000, immutable',
          'content-disposition': 'inline; filename="photo.jpg"',
        },
      })
    );
  });
