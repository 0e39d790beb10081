import { knownId } from '@/server/knownId';
import { formulaSlices } from '@/server/slices';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

/** Two pages of the shelf. */
const MOST = 60;

/** The slices of the formulas named in `ids`, at most 60 of them. */
export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const asked = (new URL(request.url).searchParams.get('ids') ?? '').split(',').slice(0, MOST);
    const ids = asked.flatMap((id) => knownId(id) ?? []);
    return Response.json(await formulaSlices(await kitchenOf(params), ids, request.signal));
  });
