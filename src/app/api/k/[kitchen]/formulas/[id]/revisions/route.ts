import { saveFormulaSchema } from '@/core/requests';
import { knownId } from '@/server/knownId';
import { loadRevisions, saveFormula } from '@/server/formulas';
import { beforeOf } from '../../../../../before';
import { answer, notFound, reading, writing } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const revisions = id ? await loadRevisions(await kitchenOf(params), id, beforeOf(request)) : [];
    return revisions.length > 0 ? Response.json(revisions) : null;
  });

export const POST = (request: Request, { params }: IdParams): Promise<Response> =>
  writing(request, saveFormulaSchema, async (body) => {
    const id = knownId((await params).id);
    return id ? answer(await saveFormula(await kitchenOf(params), { id, ...body })) : notFound();
  });
