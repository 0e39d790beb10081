import { Readable } from 'node:stream';
import { exportKitchen } from '@/server/exportKitchen';
import { archiveKitchen } from '@/server/kitchenArchive';
import { streamed } from '@/server/streamed';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The whole kitchen in the open format, as an archive with its pictures; `?form=json`: its text alone. */
export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const day = context.now().toISOString().slice(0, 10);
    const isText = new URL(request.url).searchParams.get('form') === 'json';
    const body = isText ? await streamed(exportKitchen(context)) : await archiveKitchen(context);
    const name = `${context.kitchen.address}-${day}.crumb.${isText ? 'json' : 'zip'}`;
    return new Response(Readable.toWeb(body) as ReadableStream, {
      headers: {
        'content-type': isText ? 'application/json; charset=utf-8' : 'application/zip',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  });
