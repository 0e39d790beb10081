import { loadBake } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { knownId } from '@/server/knownId';
import { reading } from '../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const GET = (request: Request, { params }: Params): Promise<Response> =>
  reading(request, async () => {
    const id = knownId((await params).id);
    const bake = id ? await loadBake(await currentContext(), id) : null;
    return bake && Response.json({ events: bake.events, nowMs: Date.now() });
  });
