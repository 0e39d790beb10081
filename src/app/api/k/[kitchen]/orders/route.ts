import { saveOrdersSchema } from '@/core/requests';
import { loadOrders, saveOrders } from '@/server/orders';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadOrders(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveOrdersSchema, async (body) =>
    answer(await saveOrders(await kitchenOf(params), body), 201),
  );
