import { stateOf } from '@/core/bake';
import { adviceOn, checkedBy } from '@/server/advice';
import { loadBake } from '@/server/bakeRecords';
import { knownId } from '@/server/knownId';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** What most likely happened in a bake, what to change next, and what became of what was advised. */
export const GET = (request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const context = await kitchenOf(params);
    const bake = id ? await loadBake(context, id) : null;
    if (!bake) return null;
    const { advice } = stateOf(bake);
    const { formulaId, startedAtMs } = bake;
    return Response.json({
      advised: await adviceOn(context, bake.id, request.signal),
      checked: advice && (await checkedBy(context, { bakeId: bake.id, formulaId, startedAtMs }, advice)),
    });
  });
