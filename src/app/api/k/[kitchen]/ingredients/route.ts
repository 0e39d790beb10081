import { saveIngredientSchema } from '@/core/requests';
import { loadEntries, saveEntry } from '@/server/ingredients';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await loadEntries(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, saveIngredientSchema, async (body) =>
    answer(await saveEntry(await kitchenOf(params), body), 201),
  );
