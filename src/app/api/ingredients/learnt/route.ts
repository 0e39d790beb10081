import { currentContext } from '@/server/context';
import { loadThirst } from '@/server/thirst';
import { reading } from '../../edge';

export const GET = (request: Request): Promise<Response> =>
  reading(request, async () => Response.json({ learnt: await loadThirst(await currentContext()) }));
