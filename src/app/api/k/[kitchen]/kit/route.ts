import { saveKitSchema } from '@/core/requests';
import { loadKit, saveKit } from '@/server/kit';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadKit(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveKitSchema, async (body) => answer(await saveKit(await kitchenOf(params), body), 201));
