import { createFormulaSchema } from '@/core/requests';
import { createFormula, duplicateFormula } from '@/server/formulas';
import { formulaNames } from '@/server/shelf';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The names of what is on the shelf, found by the words in `find`, by name, at most 40. */
export const GET = (request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const find = (new URL(request.url).searchParams.get('find') ?? '').slice(0, 80);
    return Response.json(await formulaNames(await kitchenOf(params), find));
  });

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
