import * as z from 'zod';
import { installation } from '@/server/kitchenContext';
import { renewDemo } from '@/server/kitchens';
import { answer, writing } from '../../edge';

/** The demo kitchen as it was at first. Done twice it is the same. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, z.strictObject({}), async () => answer(await renewDemo(installation()), 201));
