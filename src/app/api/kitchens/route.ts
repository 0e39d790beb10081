import { setUpKitchenSchema } from '@/core/requests';
import { installation } from '@/server/kitchenContext';
import { setUpKitchen } from '@/server/kitchens';
import { answer, writing } from '../edge';

/** A kitchen of one's own. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, setUpKitchenSchema, async (body) => answer(await setUpKitchen(installation(), body), 201));
