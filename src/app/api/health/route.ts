import { currentContext } from '@/server/context';
import { reading } from '../edge';

export const GET = (request: Request): Promise<Response> =>
  reading(request, async () => {
    await (await currentContext()).pool.query('select 1');
    return Response.json({ ok: true });
  });
