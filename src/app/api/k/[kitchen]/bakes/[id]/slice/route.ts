import { knownId } from '@/server/knownId';
import { bakeSlices } from '@/server/slices';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** The slice that was to be expected of a bake, and of the next. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    return id ? Response.json(await bakeSlices(await kitchenOf(params), id, request.signal)) : null;
  });
