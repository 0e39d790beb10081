import { currentContext } from '@/server/currentContext';
import { knownId } from '@/server/knownId';
import { loadFormulaJson } from '@/server/formulas';
import { reading } from '../../edge';

interface Params {
  params: Promise<{ id: string }>;
}

export const GET = (_request: Request, { params }: Params): Promise<Response> =>
  reading(async () => {
    const id = knownId((await params).id);
    const json = id && (await loadFormulaJson(await currentContext(), id));
    return json ? new Response(json, { headers: { 'content-type': 'application/json' } }) : null;
  });
