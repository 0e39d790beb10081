import { saveIngredientSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { loadEntries, saveEntry } from '@/server/ingredients';
import { answer, reading, writing } from '../edge';

export const GET = (): Promise<Response> =>
  reading(async () => Response.json(await loadEntries(await currentContext())));

export const POST = (request: Request): Promise<Response> =>
  writing(request, saveIngredientSchema, async (body) =>
    answer(await saveEntry(await currentContext(), body), 201),
  );
