import * as z from 'zod';
import { installation } from '@/server/kitchenContext';
import { invalid } from '@/server/failure';
import { importArchiveAs, importKitchenAs } from '@/server/kitchens';
import { knownId } from '@/server/knownId';
import { answer, reading, writing } from '../../edge';

/** A kitchen out of a file, which is the body, its text or an archive with its pictures; `request` is the id of the wish. */
export const POST = (request: Request): Promise<Response> => {
  const requestId = knownId(new URL(request.url).searchParams.get('request') ?? '');
  const noWish = () => answer(invalid({ code: 'required', path: 'request' }));
  if (request.headers.get('content-type') === 'application/zip')
    return reading(async () => {
      if (!requestId) return noWish();
      const bytes = Buffer.from(await request.arrayBuffer());
      return answer(await importArchiveAs(installation(), requestId, bytes), 201);
    });
  return writing(request, z.unknown(), async (file) =>
    requestId ? answer(await importKitchenAs(installation(), requestId, file), 201) : noWish(),
  );
};
