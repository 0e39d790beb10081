import { tellingSchema } from '@/core/instrument/telling';
import { take } from '@/server/instruments';
import { installation } from '@/server/kitchenContext';
import { answer, noKey, writing } from '../../edge';

/** A key is all an instrument has: which it is, and whose. */
const KEY = /^Bearer ([A-Za-z0-9_-]{43})$/;

/** What an instrument tells (docs/formats.md). No page comes here: the door lets none in. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, tellingSchema, async (telling) => {
    const [, key] = KEY.exec(request.headers.get('authorization') ?? '') ?? [];
    if (!key) return noKey();
    const { pool, now } = installation();
    const taken = await take(pool, key, telling, now());
    return taken ? answer(taken) : noKey();
  });
