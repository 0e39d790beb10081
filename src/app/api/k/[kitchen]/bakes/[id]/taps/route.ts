import { tapsSchema } from '@/core/requests';
import { recordTaps } from '@/server/bakes';
import { knownId } from '@/server/knownId';
import { failed } from '@/server/failure';
import { answer, notFound, writing } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const POST = (request: Request, { params }: IdParams): Promise<Response> =>
  writing(request, tapsSchema, async ({ taps, after }) => {
    const id = knownId((await params).id);
    if (!id) return notFound();
    const taken = await recordTaps(await kitchenOf(params), id, taps, after);
    // what can be saved is saved; but an id that stands for something else already is never answered as if all were well
    const clash = taken.ok && taken.value.results.some(({ problem }) => problem?.code === 'otherContent');
    return clash ? answer(failed({ kind: 'otherContent' })) : answer(taken);
  });
