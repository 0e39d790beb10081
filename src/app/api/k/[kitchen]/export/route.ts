import { exportKitchen } from '@/server/exportKitchen';
import { reading } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The whole kitchen in the open format, as a file. */
export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const pieces = exportKitchen(context);
    const encoder = new TextEncoder();
    // the first piece is fetched before the answer begins: a database that is away is still told as such
    const first = await pieces.next();
    const body = new ReadableStream<Uint8Array>({
      start: (controller) => {
        if (!first.done) controller.enqueue(encoder.encode(first.value));
      },
      pull: async (controller) => {
        const next = await pieces.next();
        if (next.done) controller.close();
        else controller.enqueue(encoder.encode(next.value));
      },
      cancel: async () => void (await pieces.return(undefined)),
    });
    const day = context.now().toISOString().slice(0, 10);
    return new Response(body, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${context.kitchen.address}-${day}.crumb.json"`,
        'cache-control': 'no-store',
      },
    });
  });
