import { bakeNews } from '@/server/bakes';
import { knownId } from '@/server/knownId';
import { reading } from '../../../../edge';
import { kitchenOf, type IdParams } from '../../../../kitchenOf';

/** What is new in a bake's log since event number `after`. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    const known = Number.isSafeInteger(after) && after >= 0 && after < 2 ** 31 ? after : 0;
    const news = id ? await bakeNews(await kitchenOf(params), id, known) : null;
    return news && Response.json(news);
  });
