import { saveStartersSchema } from '@/core/requests';
import { loadStarters, saveStarters } from '@/server/starters';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadStarters(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveStartersSchema, async (body) =>
    answer(await saveStarters(await kitchenOf(params), body), 201),
  );
