import { tapsSchema } from '@/core/requests';
import { recordTaps } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { knownId } from '@/server/knownId';
import { answer, notFound, writing } from '../../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const POST = (request: Request, { params }: Params): Promise<Response> =>
  writing(request, tapsSchema, async ({ taps }) => {
    const id = knownId((await params).id);
    return id ? answer(await recordTaps(await currentContext(), id, taps)) : notFound();
  });
