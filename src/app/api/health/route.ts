import { currentContext } from '@/server/currentContext';
import { reading } from '../edge';

export const GET = (): Promise<Response> =>
  reading(async () => {
    await (await currentContext()).pool.query('select 1');
    return Response.json({ ok: true });
  });
