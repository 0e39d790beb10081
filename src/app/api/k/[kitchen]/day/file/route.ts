import { dayFile } from '@/server/dayFile';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

/** The day as a file of its own, as `./crumb plan` reads it. */
export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () =>
    Response.json(await dayFile(await kitchenOf(params)), {
      headers: { 'content-disposition': 'attachment; filename="honest-crumb-day.json"' },
    }),
  );
