import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { StoryPage } from '@/features/story/StoryPage';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { currentContext } from '@/server/context';
import { orUnreadable } from '@/server/orUnreadable';
import { loadFormula, loadStory, STORY_PAGE } from '@/server/formulas';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Story' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const id = knownId((await params).id);
  const context = await currentContext();
  const found = id ? await orUnreadable(loadFormula(context, id)) : null;
  if (found && 'setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const loaded = found?.value ?? null;
  if (!id || !loaded) notFound();
  const story = await loadStory(context, id, null);
  // a restored state makes this page another one: its number is its key
  return (
    <StoryPage
      key={loaded.revision}
      formulaId={id}
      name={loaded.formula.name}
      head={loaded.revision}
      story={story}
      page={STORY_PAGE}
    />
  );
}
