import { createFormulaSchema } from '@/core/requests';
import { currentContext } from '@/server/currentContext';
import { createFormula, duplicateFormula } from '@/server/formulas';
import { answer, writing } from '../edge';

export const POST = (request: Request): Promise<Response> =>
  writing(request, createFormulaSchema, async (body) => {
    const context = await currentContext();
    return answer(
      'copyOf' in body
        ? await duplicateFormula(context, { ...body, id: body.copyOf })
        : await createFormula(context, body),
      201,
    );
  });
