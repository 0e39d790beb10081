import * as z from 'zod';
import { installation } from '@/server/kitchenContext';
import { invalid } from '@/server/failure';
import { importKitchenAs } from '@/server/kitchens';
import { knownId } from '@/server/knownId';
import { answer, writing } from '../../edge';

/** A kitchen out of a file, which is the body; `request` is the id of the wish. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, z.unknown(), async (file) => {
    const requestId = knownId(new URL(request.url).searchParams.get('request') ?? '');
    if (!requestId) return answer(invalid({ code: 'required', path: 'request' }));
    return answer(await importKitchenAs(installation(), requestId, file), 201);
  });
