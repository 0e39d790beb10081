import { startBakeSchema } from '@/core/requests';
import { startBake } from '@/server/bakes';
import { answer, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, startBakeSchema, async (body) =>
    answer(await startBake(await kitchenOf(params), body), 201),
  );
