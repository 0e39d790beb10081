import { archiveFormulaSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { archiveFormula } from '@/server/formulas';
import { answer, notFound, writing } from '../../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const POST = (request: Request, { params }: Params): Promise<Response> =>
  writing(request, archiveFormulaSchema, async ({ archived }) => {
    const id = knownId((await params).id);
    return id ? answer(await archiveFormula(await currentContext(), { id, archived })) : notFound();
  });
