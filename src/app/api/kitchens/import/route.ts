import * as z from 'zod';
import { installation } from '@/server/currentContext';
import { importKitchenAs } from '@/server/kitchens';
import { answer, notFound, writing } from '../../edge';
import { knownId } from '@/server/knownId';

/** A kitchen out of a file, which is the body; `request` is the id of the wish. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, z.unknown(), async (file) => {
    const requestId = knownId(new URL(request.url).searchParams.get('request') ?? '');
    return requestId ? answer(await importKitchenAs(installation(), requestId, file), 201) : notFound();
  });
