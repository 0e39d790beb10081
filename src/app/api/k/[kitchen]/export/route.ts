import { Readable } from 'node:stream';
import { exportKitchen } from '@/server/exportKitchen';
import { archiveKitchen } from '@/server/kitchenArchive';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The whole kitchen in the open format, as an archive with its pictures; `?form=json`: its text alone. */
export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const day = context.now().toISOString().slice(0, 10);
    const isText = new URL(request.url).searchParams.get('form') === 'json';
    const body = isText ? await textOf(exportKitchen(context)) : await archiveKitchen(context);
    const name = `${context.kitchen.address}-${day}.crumb.${isText ? 'json' : 'zip'}`;
    return new Response(Readable.toWeb(body) as ReadableStream, {
      headers: {
        'content-type': isText ? 'application/json; charset=utf-8' : 'application/zip',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  });

/** The first piece is fetched before the answer begins: a database that is away is still told as such. */
async function textOf(pieces: AsyncGenerator<string, void>): Promise<Readable> {
  const first = await pieces.next();
  const text = Readable.from(
    (async function* () {
      if (!first.done) yield first.value;
      yield* pieces;
    })(),
    { objectMode: false },
  );
  // also of whoever leaves before anything was read: else the reader's place stays taken
  return text.on('close', () => void pieces.return(undefined));
}
