import { knownId } from '@/server/knownId';
import { loadSliceLearning } from '@/server/cutsRead';
import { loadLearnt } from '@/server/learnt';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const GET = (_request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    if (!id) return null;
    const context = await kitchenOf(params);
    const [learning, slices] = await Promise.all([loadLearnt(context, id), loadSliceLearning(context, id)]);
    return Response.json({ learning, slices });
  });
