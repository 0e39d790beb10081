import { knownId } from '@/server/knownId';
import { loadFormulaJson } from '@/server/formulas';
import { reading } from '../../../../edge';
import { kitchenOf, type IdParams } from '../../../../kitchenOf';

export const GET = (_request: Request, { params }: IdParams): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const json = id && (await loadFormulaJson(await kitchenOf(params), id));
    return json ? new Response(json, { headers: { 'content-type': 'application/json' } }) : null;
  });
