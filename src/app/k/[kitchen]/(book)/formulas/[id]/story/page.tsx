import type { Metadata } from 'next';
import { StoryPage } from '@/features/story/StoryPage';
import { loadFormula, loadStory, STORY_PAGE } from '@/server/formulas';
import { documentPage, type IdParams } from '../../../../documentPage';

export const metadata: Metadata = { title: 'Story' };

export default function Page(props: IdParams) {
  return documentPage(props, loadFormula, async (loaded, context) => (
    // a restored state makes this page another one: its number is its key
    <StoryPage
      key={loaded.revision}
      formulaId={loaded.id}
      name={loaded.formula.name}
      head={loaded.revision}
      story={await loadStory(context, loaded.id, null)}
      page={STORY_PAGE}
    />
  ));
}
