import * as z from 'zod';
import { knownId } from '@/server/knownId';
import { closeLink } from '@/server/tasteLinks';
import { answer, notFound, writing } from '../../../../../../../edge';
import { kitchenOf } from '../../../../../../../kitchenOf';

interface LinkParams {
  readonly params: Promise<{ kitchen: string; id: string; link: string }>;
}

/** A link opens nothing from now on. */
export const POST = (request: Request, { params }: LinkParams): Promise<Response> =>
  writing(request, z.strictObject({}), async () => {
    const link = knownId((await params).link);
    return link ? answer(await closeLink(await kitchenOf(params), link)) : notFound();
  });
