import { askCodeSchema } from '@/core/network/pairedDevice';
import { askCode, devicesNow } from '@/server/devices';
import { answer, reading, writing } from '../../../edge';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';

/** On this machine alone: the door lets no paired device in here. */
export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => Response.json(await devicesNow(await kitchenOf(params))));

export const POST = (request: Request, { params }: KitchenParams): Promise<Response> =>
  writing(request, askCodeSchema, async (body) => answer(await askCode(await kitchenOf(params), body), 201));
