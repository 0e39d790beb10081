import { createFormulaSchema } from '@/core/requests';
import { createFormula, duplicateFormula } from '@/server/formulas';
import { answer, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, createFormulaSchema, async (body) => {
    const context = await kitchenOf(params);
    return answer(
      'copyOf' in body
        ? await duplicateFormula(context, { ...body, id: body.copyOf })
        : await createFormula(context, body),
      201,
    );
  });
