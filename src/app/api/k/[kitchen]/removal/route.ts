import * as z from 'zod';
import { removeDemo } from '@/server/kitchens';
import { answer, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** The demo kitchen, gone for good. */
export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, z.strictObject({}), async () => answer(await removeDemo(await kitchenOf(params))));
