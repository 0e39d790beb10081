import { addInstrumentSchema } from '@/core/instrument/telling';
import { addInstrument, instrumentsNow } from '@/server/instruments';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await instrumentsNow(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, addInstrumentSchema, async (body) =>
    answer(await addInstrument(await kitchenOf(params), body), 201),
  );
