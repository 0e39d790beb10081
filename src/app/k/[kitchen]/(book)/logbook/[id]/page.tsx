import type { Metadata } from 'next';
import { BakePage } from '@/features/logbook/BakePage';
import { loadBake } from '@/server/bakeRecords';
import { Book } from '../../../Book';
import { documentPage, type IdParams } from '../../../documentPage';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.aBake };

export default function Page(props: IdParams) {
  return documentPage(props, loadBake, (bake, context) => (
    <Book context={context} holds={bake}>
      <BakePage bake={bake} nowMs={context.now().getTime()} epoch={context.kitchen.epoch} />
    </Book>
  ));
}
