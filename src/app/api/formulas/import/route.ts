import { importFormulaSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { importFormula } from '@/server/importFormula';
import { answer, writing } from '../../edge';

export const POST = (request: Request): Promise<Response> =>
  writing(request, importFormulaSchema, async (body) =>
    answer(await importFormula(await currentContext(), body), 201),
  );
