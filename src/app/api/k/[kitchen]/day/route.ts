import { saveDaySchema } from '@/core/requests';
import { loadDay, saveDay } from '@/server/day';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadDay(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveDaySchema, async (body) => answer(await saveDay(await kitchenOf(params), body), 201));
