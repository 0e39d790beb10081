import { currentContext } from '@/server/currentContext';
import { loadStory } from '@/server/formulas';
import { knownId } from '@/server/knownId';
import { beforeOf } from '../../../before';
import { reading } from '../../../edge';

export const GET = (request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    if (!id) return null;
    const story = await loadStory(await currentContext(), id, beforeOf(request));
    return story.revisions.length > 0 ? Response.json(story) : null;
  });
