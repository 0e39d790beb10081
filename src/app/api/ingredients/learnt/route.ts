import { currentContext } from '@/server/currentContext';
import { loadThirst } from '@/server/thirst';
import { reading } from '../../edge';

export const GET = (): Promise<Response> =>
  reading(async () => Response.json({ learnt: await loadThirst(await currentContext()) }));
