import { loadStory } from '@/server/formulas';
import { knownId } from '@/server/knownId';
import { beforeOf } from '../../../../../before';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    if (!id) return null;
    const story = await loadStory(await kitchenOf(params), id, beforeOf(request));
    return story.revisions.length > 0 ? Response.json(story) : null;
  });
