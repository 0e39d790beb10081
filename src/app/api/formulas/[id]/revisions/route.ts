import { saveFormulaSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { loadRevisions, saveFormula } from '@/server/formulas';
import { beforeOf } from '../../../before';
import { answer, notFound, reading, writing } from '../../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const GET = (request: Request, { params }: Params): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const revisions = id ? await loadRevisions(await currentContext(), id, beforeOf(request)) : [];
    return revisions.length > 0 ? Response.json(revisions) : null;
  });

export const POST = (request: Request, { params }: Params): Promise<Response> =>
  writing(request, saveFormulaSchema, async (body) => {
    const id = knownId((await params).id);
    return id ? answer(await saveFormula(await currentContext(), { id, ...body })) : notFound();
  });
