import { currentContext } from '@/server/currentContext';
import { loadStory } from '@/server/formulas';
import { knownId } from '@/server/knownId';
import { reading } from '../../../edge';

export const GET = (request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const before = Number(new URL(request.url).searchParams.get('before') ?? Number.NaN);
    if (!id) return null;
    const story = await loadStory(
      await currentContext(),
      id,
      Number.isInteger(before) && before > 0 && before < 2 ** 31 ? before : null,
    );
    return story.revisions.length > 0 ? Response.json(story) : null;
  });
