import * as z from 'zod';
import { withdrawal } from '@/server/devices';
import { knownId } from '@/server/knownId';
import { answer, notFound, writing } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const POST = (request: Request, { params }: IdParams): Promise<Response> =>
  writing(request, z.strictObject({}), async () => {
    const id = knownId((await params).id);
    return id ? answer(await withdrawal(await kitchenOf(params), id)) : notFound();
  });
