import { askLinkSchema } from '@/core/network/tasteLink';
import { knownId } from '@/server/knownId';
import { linksOf, makeLink } from '@/server/tasteLinks';
import { answer, notFound, reading, writing } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** Tasters' links of a bake that are open: when they were made and when they end, never the links. */
export const GET = (_request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    return Response.json({ links: id ? await linksOf(await kitchenOf(params), id) : [] });
  });

export const POST = (request: Request, { params }: IdParams): Promise<Response> =>
  writing(request, askLinkSchema, async (body) => {
    const id = knownId((await params).id);
    return id ? answer(await makeLink(await kitchenOf(params), id, body), 201) : notFound();
  });
