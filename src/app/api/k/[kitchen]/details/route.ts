import { kitchenDetailsSchema } from '@/core/requests';
import { saveDetails } from '@/server/kitchens';
import { answer, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** Who the kitchen is: its name, its time zone, a few words about it. */
export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, kitchenDetailsSchema, async (details) =>
    answer(await saveDetails(await kitchenOf(params), details)),
  );
