import { bakeNews } from '@/server/bakes';
import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { reading } from '../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

/** What is new in a bake's log since event number `after`. */
export const GET = (request: Request, { params }: Params): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    const known = Number.isSafeInteger(after) && after >= 0 && after < 2 ** 31 ? after : 0;
    const news = id ? await bakeNews(await currentContext(), id, known) : null;
    return news && Response.json(news);
  });
