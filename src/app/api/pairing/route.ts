import { pairingSchema } from '@/core/network/pairedDevice';
import { DEVICE_COOKIE } from '@/core/network/deviceKey';
import { pair } from '@/server/devices';
import { invalid } from '@/server/failure';
import { installation } from '@/server/kitchenContext';
import { answer, writing } from '../edge';

const A_YEAR_S = 31_536_000;

/** A code for a key. The key goes into a cookie that no script reads; the door sees to it that this comes by a secure connection. */
export const POST = (request: Request): Promise<Response> =>
  writing(request, pairingSchema, async ({ code }) => {
    const paired = await pair(installation(), code);
    if (!paired) return answer(invalid({ code: 'notAllowed', path: 'code' }));
    const cookie = `${DEVICE_COOKIE}=${paired.key}; Path=/; Max-Age=${A_YEAR_S}; HttpOnly; Secure; SameSite=Strict`;
    return Response.json({ address: paired.address }, { headers: { 'set-cookie': cookie } });
  });
