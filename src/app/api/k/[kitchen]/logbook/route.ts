import { Readable } from 'node:stream';
import { knownId } from '@/server/knownId';
import { logAsCsv, logAsJson } from '@/server/logExport';
import { streamed } from '@/server/streamed';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The log as a table (`?form=csv`) or as JSON, all of it or of one formula (`?formula=`). */
export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const query = new URL(request.url).searchParams;
    const formulaId = knownId(query.get('formula') ?? '');
    const isTable = query.get('form') === 'csv';
    const body = await streamed((isTable ? logAsCsv : logAsJson)(context, formulaId));
    const day = context.now().toISOString().slice(0, 10);
    const name = `${context.kitchen.address}-${day}.log.${isTable ? 'csv' : 'json'}`;
    return new Response(Readable.toWeb(body) as ReadableStream, {
      headers: {
        'content-type': isTable ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  });
