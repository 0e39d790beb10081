import type { Metadata } from 'next';
import { BakePage } from '@/features/logbook/BakePage';
import { loadBake } from '@/server/bakeRecords';
import { Book } from '../../../Book';
import { documentPage, type IdParams } from '../../../documentPage';

export const metadata: Metadata = { title: 'A bake' };

export default function Page(props: IdParams) {
  return documentPage(props, loadBake, (bake, context) => (
    <Book context={context} holds={bake}>
      <BakePage bake={bake} nowMs={context.now().getTime()} epoch={context.kitchen.epoch} />
    </Book>
  ));
}
