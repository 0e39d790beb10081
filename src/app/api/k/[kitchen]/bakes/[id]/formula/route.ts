import { bakedFormula } from '@/server/asDone';
import { knownId } from '@/server/knownId';
import { reading } from '../../../../../edge';
import { kitchenOf, type IdParams } from '../../../../../kitchenOf';

/** The formula as a bake was made by it, and which version is the newest by now. */
export const GET = (_request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const baked = id ? await bakedFormula(await kitchenOf(params), id) : null;
    return baked && Response.json(baked);
  });
