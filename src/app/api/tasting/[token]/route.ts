import { linkTastingSchema } from '@/core/network/tasteLink';
import { installation, kitchenContext } from '@/server/kitchenContext';
import { tasteByLink } from '@/server/tasteLinks';
import { answer, writing } from '../../edge';

/** A card by a taster's link. Whether there is no such link, or it has ended, is answered alike. */
export const POST = (request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> =>
  writing(request, linkTastingSchema, async (body) => {
    const { token } = await params;
    const { pool, now } = installation();
    return answer(await tasteByLink(body, kitchenContext, pool, token, now()));
  }); // prettier-ignore
