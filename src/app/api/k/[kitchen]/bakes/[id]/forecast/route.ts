import { bakeForecast } from '@/server/forecasts';
import { knownId } from '@/server/knownId';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** What the models said of a bake when it began. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const forecast = id ? await bakeForecast(await kitchenOf(params), id, request.signal) : null;
    return Response.json({ forecast });
  });
