import { currentContext } from '@/server/context';
import { formulaMarks } from '@/server/marks';
import { reading } from '../../edge';

export const GET = (request: Request): Promise<Response> =>
  reading(async () => Response.json(await formulaMarks(await currentContext(), request.signal)));
