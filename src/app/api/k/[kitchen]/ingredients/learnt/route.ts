import { loadAbsorption } from '@/server/absorption';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json({ learnt: await loadAbsorption(await kitchenOf(params)) }));
