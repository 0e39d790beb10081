import { loadDay } from '@/server/day';
import { dayBakes } from '@/server/dayPage';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

/** How far the bakes of the day are. */
export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    return Response.json(await dayBakes(context, (await loadDay(context)).value));
  });
