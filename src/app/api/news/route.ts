import { ONLY_HEADER } from '@/core/network/deviceKey';
import { newsStream } from '@/server/news';
import { reading } from '../edge';

/** Where something is new, as long as the page listens: one stream for each browser, shared by its tabs. */
export const GET = (request: Request): Promise<Response> =>
  reading(() =>
    Promise.resolve(
      new Response(newsStream(request.signal, request.headers.get(ONLY_HEADER)), {
        headers: {
          'content-type': 'text/event-stream; charset=utf-8',
          // no-transform: an answer that is pressed together arrives in lumps
          'cache-control': 'no-store, no-transform',
        },
      }),
    ),
  );
