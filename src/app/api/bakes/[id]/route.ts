import { loadBake } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { knownId } from '@/server/knownId';
import { reading } from '../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const GET = (_request: Request, { params }: Params): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const context = await currentContext();
    const bake = id ? await loadBake(context, id) : null;
    return bake && Response.json({ events: bake.events, nowMs: context.now().getTime() });
  });
