import { importFormulaSchema } from '@/core/requests';
import { importFormula } from '@/server/importFormula';
import { answer, writing } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, importFormulaSchema, async (body) =>
    answer(await importFormula(await kitchenOf(params), body), 201),
  );
