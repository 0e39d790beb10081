import { loadAbsorption } from '@/server/absorption';
import { loadJars } from '@/server/learnt';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const [learnt, jars] = await Promise.all([loadAbsorption(context), loadJars(context)]);
    return Response.json({ learnt, jars });
  });
