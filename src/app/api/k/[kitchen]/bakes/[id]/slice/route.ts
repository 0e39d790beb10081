import { knownId } from '@/server/knownId';
import { bakeSlice } from '@/server/slices';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** The slice that was to be expected of a bake. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    return Response.json({ slice: id ? await bakeSlice(await kitchenOf(params), id, request.signal) : null });
  });
