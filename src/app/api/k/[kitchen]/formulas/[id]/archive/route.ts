import { archiveFormulaSchema } from '@/core/requests';
import { knownId } from '@/server/knownId';
import { archiveFormula } from '@/server/formulas';
import { answer, notFound, writing } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const POST = (request: Request, { params }: IdParams): Promise<Response> =>
  writing(request, archiveFormulaSchema, async ({ archived }) => {
    const id = knownId((await params).id);
    return id ? answer(await archiveFormula(await kitchenOf(params), { id, archived })) : notFound();
  });
