import type { Metadata } from 'next';
import { BakePage } from '@/features/logbook/BakePage';
import { Book } from '../../../Book';
import { bakeTitle, loadBakeOnce } from '../../../bakeTitle';
import { documentPage, type IdParams } from '../../../documentPage';
import { words } from '@/wording/screens/pages';

export const generateMetadata = (props: IdParams): Promise<Metadata> => bakeTitle(props, words.bake);

export default function Page(props: IdParams) {
  return documentPage(props, loadBakeOnce, (bake, context) => (
    <Book context={context} holds={bake}>
      <BakePage bake={bake} nowMs={context.now().getTime()} epoch={context.kitchen.epoch} />
    </Book>
  ));
}
