import { timersUnderWay } from '@/server/timers';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await timersUnderWay(await kitchenOf(params))));
