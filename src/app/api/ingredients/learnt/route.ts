import { currentContext } from '@/server/currentContext';
import { loadAbsorption } from '@/server/absorption';
import { reading } from '../../edge';

export const GET = (): Promise<Response> =>
  reading(async () => Response.json({ learnt: await loadAbsorption(await currentContext()) }));
