import { currentContext } from '@/server/currentContext';
import { timersUnderWay } from '@/server/timers';
import { reading } from '../edge';

export const GET = (): Promise<Response> =>
  reading(async () => Response.json(await timersUnderWay(await currentContext())));
