import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { planBatch } from '@/core/batch';
import { usualRequest } from '@/core/day/usualRequest';
import { roomOf, runKitchenOf } from '@/core/kit';
import { PracticePage } from '@/features/practice/PracticePage';
import { loadFormula } from '@/server/formulas';
import { loadKit } from '@/server/kit';
import { words } from '@/wording/screens/pages';
import { Book } from '../../../Book';
import { documentPage, type IdParams } from '../../../documentPage';

export const metadata: Metadata = { title: words.practice };

/** A formula, practised as it is now and as much as is usual: laid out as a bake is, and stored nowhere. */
export default function Page(props: IdParams) {
  return documentPage(props, loadFormula, async ({ id, formula }, context) => {
    const { kit } = await loadKit(context);
    const sheet = planBatch(
      formula,
      usualRequest(formula),
      kit.scales,
      await context.book(),
      roomOf(kit, formula),
    );
    if (!sheet.ok) notFound();
    return (
      <Book context={context} holds={sheet.value}>
        <NuqsAdapter>
          <PracticePage
            formulaId={id}
            sheet={sheet.value}
            rising={{ formula, kitchen: runKitchenOf(kit, formula) }}
            nowMs={context.now().getTime()}
          />
        </NuqsAdapter>
      </Book>
    );
  });
}
