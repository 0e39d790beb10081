import { saveLifeSchema } from '@/core/requests';
import { loadLife, saveLife } from '@/server/day';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadLife(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveLifeSchema, async (body) =>
    answer(await saveLife(await kitchenOf(params), body), 201),
  );
