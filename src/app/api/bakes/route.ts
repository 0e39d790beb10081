import { startBakeSchema } from '@/core/requests';
import { startBake } from '@/server/bakes';
import { currentContext } from '@/server/currentContext';
import { answer, writing } from '../edge';

export const POST = (request: Request): Promise<Response> =>
  writing(request, startBakeSchema, async (body) =>
    answer(await startBake(await currentContext(), body), 201),
  );
