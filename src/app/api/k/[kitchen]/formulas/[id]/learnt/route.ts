import { knownId } from '@/server/knownId';
import { loadLearnt } from '@/server/learnt';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const GET = (_request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    return id ? Response.json({ learning: await loadLearnt(await kitchenOf(params), id) }) : null;
  });
