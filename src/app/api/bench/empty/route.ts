import { pool } from '@/db/pool';
import { FORMULA_HEAD_JSON } from '@/db/queries/formulas';

/**
 * What ./crumb bench holds the formula's data route against: the same statement in a handler that does nothing else.
 * Not there in everyday running.
 */
export async function GET(request: Request): Promise<Response> {
  if (process.env.CRUMB_BENCH !== '1') return new Response(null, { status: 404 });
  const url = new URL(request.url);
  const { name, text } = FORMULA_HEAD_JSON;
  const values = [url.searchParams.get('kitchen'), url.searchParams.get('id')];
  const { rows } = await pool().query<{ json: string }>({ name, text, values });
  return new Response(rows[0]?.json ?? 'null', { headers: { 'content-type': 'application/json' } });
}
