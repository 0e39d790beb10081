import type { Metadata } from 'next';
import { TastePage } from '@/features/tasting/TastePage';
import { knownId } from '@/server/knownId';
import { Book } from '../../../../Book';
import { bakeTitle, loadBakeOnce } from '../../../../bakeTitle';
import { documentPage, type IdParams } from '../../../../documentPage';
import { words } from '@/wording/screens/pages';

interface TasteParams extends IdParams {
  readonly searchParams: Promise<{ card?: string | string[] }>;
}

export const generateMetadata = (props: IdParams): Promise<Metadata> => bakeTitle(props, words.tasting);

export default function Page(props: TasteParams) {
  return documentPage(props, loadBakeOnce, async (bake, context) => {
    const { card } = await props.searchParams;
    return (
      <Book context={context} holds={bake}>
        <TastePage
          bake={bake}
          nowMs={context.now().getTime()}
          epoch={context.kitchen.epoch}
          cardId={typeof card === 'string' ? knownId(card) : null}
        />
      </Book>
    );
  });
}
