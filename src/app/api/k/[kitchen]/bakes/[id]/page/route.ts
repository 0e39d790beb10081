import { handOnPage } from '../../../../../handOnPage';
import { toHandOn } from '@/server/handOn';
import { knownId } from '@/server/knownId';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** One bake as a page to hand on: a file without script. `?mass=` and `?temperature=` are the reader's units. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const query = new URL(request.url).searchParams;
    const mass = query.get('mass') === 'oz' ? 'oz' : 'g';
    const temperature = query.get('temperature') === 'F' ? 'F' : 'C';
    const bake = id ? await toHandOn(await kitchenOf(params), id, request.signal) : null;
    if (!bake) return null;
    const html = handOnPage({ ...bake, units: { mass, temperature } });
    const name =
      bake.bake.sheet.name
        .replace(/[^a-z0-9]+/gi, '-')
        .replace(/^-+|-+$/g, '')
        .toLowerCase() || 'bake';
    return new Response(html, {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-disposition': `attachment; filename="${name}.html"`,
        'cache-control': 'no-store',
      },
    });
  });
