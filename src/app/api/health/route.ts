import { pool } from '@/db/pool';
import { reading } from '../edge';

export const GET = (): Promise<Response> =>
  reading(async () => {
    await pool().query('select 1');
    return Response.json({ ok: true });
  });
