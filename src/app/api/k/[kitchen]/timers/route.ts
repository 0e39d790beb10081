import { ONLY_HEADER } from '@/core/network/deviceKey';
import { timersUnderWay } from '@/server/timers';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () =>
    Response.json(await timersUnderWay(await kitchenOf(params), request.headers.get(ONLY_HEADER))),
  );
