import { saveKitSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { loadKit, saveKit } from '@/server/kit';
import { answer, reading, writing } from '../edge';

export const GET = (): Promise<Response> =>
  reading(async () => Response.json(await loadKit(await currentContext())));

export const POST = (request: Request): Promise<Response> =>
  writing(request, saveKitSchema, async (body) => answer(await saveKit(await currentContext(), body), 201));
