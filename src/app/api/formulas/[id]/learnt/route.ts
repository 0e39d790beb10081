import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { loadLearnt } from '@/server/learnt';
import { reading } from '../../../edge';

export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    return id ? Response.json({ learning: await loadLearnt(await currentContext(), id) }) : null;
  });
