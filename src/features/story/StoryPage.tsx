'use client';
import { ArrowLeft, GitBranch } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';
import { useKitchenTime } from '../preferences/time';
import { Turns } from './Turns';

interface Revision {
  readonly number: number;
  readonly savedAtMs: number;
  readonly formula: Formula;
}
interface Branch {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
}
export interface Story {
  readonly branch: Branch | null;
  /** Newest first. */
  readonly revisions: readonly Revision[];
  readonly branches: readonly Branch[];
}

interface StoryPageProps {
  formulaId: string;
  name: string;
  head: number;
  story: Story;
  /** Revisions read at once. */
  page: number;
}

/** How a formula came to be what it is: each state by what it changed, any two beside one another, any of them to go on from. */
export function StoryPage({ formulaId, name, head, story, page }: StoryPageProps) {
  const router = useRouter();
  const time = useKitchenTime();
  const [revisions, setRevisions] = useState(story.revisions);
  const [picked, setPicked] = useState<readonly number[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [wishes] = useState(() => new Map<string, string>());
  const oldest = revisions.at(-1)?.number ?? 1;
  const [newer, older] = [...picked]
    .sort((a, b) => b - a)
    .map((number) => revisions.find((each) => each.number === number));

  // one wish, one deed, however often it is pressed
  const wish = (what: string): string => {
    const known = wishes.get(what) ?? newUuid();
    wishes.set(what, known);
    return known;
  };
  const more = async () => {
    const answer = await ask<Story>(`/api/formulas/${formulaId}/story?before=${oldest}`);
    if (answer.kind === 'ok') setRevisions((before) => [...before, ...answer.value.revisions]);
    else setTrouble('The server did not answer. Try again.');
  };
  const branchFrom = async (number: number) => {
    const answer = await ask<{ id: string }>('/api/formulas', {
      requestId: wish(`branch ${number}`),
      copyOf: formulaId,
      revision: number,
      name: `${name.slice(0, 60)}, from ${number}`,
    });
    if (answer.kind === 'ok') router.push(`/formulas/${answer.value.id}`);
    else setTrouble('The branch could not be made. Nothing is lost; try again.');
  };
  const restore = async ({ number, formula }: Revision) => {
    const answer = await ask(`/api/formulas/${formulaId}/revisions`, {
      requestId: wish(`restore ${number}`),
      seen: head,
      formula,
    });
    if (answer.kind === 'ok') {
      router.push(`/formulas/${formulaId}`);
      router.refresh();
    } else
      setTrouble(
        answer.kind === 'stale'
          ? 'Somebody saved a newer state in between. Reload this page to see it.'
          : 'It could not be brought back. Nothing is lost; try again.',
      );
  };
  const pick = (number: number) =>
    setPicked((before) =>
      before.includes(number) ? before.filter((each) => each !== number) : [...before, number].slice(-2),
    );

  return (
    <>
      <Link
        href={`/formulas/${formulaId}`}
        className="inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden /> the sheet
      </Link>
      <h1 className="text-2xl sm:text-3xl">The story of {name}</h1>
      <p className="mb-4 text-soft">
        {story.branch ? (
          <>
            It branched off{' '}
            <Link href={`/formulas/${story.branch.id}/story`} className="text-link underline">
              {story.branch.name}
            </Link>{' '}
            at revision {story.branch.revision}.
          </>
        ) : (
          'Each time the sheet was saved, and what that changed. Tick two to lay them beside one another.'
        )}
      </p>
      {trouble && (
        <p
          role="alert"
          className="mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm"
        >
          {trouble}
        </p>
      )}
      <section
        aria-label="Two compared"
        aria-live="polite"
        className={cx(
          'docket sticky top-16 z-10 mb-4 max-w-4xl rounded-b-md px-4 py-3',
          !(newer && older) && 'hidden',
        )}
      >
        {newer && older && (
          <>
            <p className="mb-1 text-sm text-soft">
              From revision {older.number} ({time.dayAndClock(older.savedAtMs)}) to {newer.number} (
              {time.dayAndClock(newer.savedAtMs)})
            </p>
            <Turns from={older.formula} to={newer.formula} />
          </>
        )}
      </section>
      <ol className="max-w-4xl">
        {revisions.map((revision, index) => {
          const before = revisions[index + 1];
          const branches = story.branches.filter((branch) => branch.revision === revision.number);
          return (
            <li key={revision.number} className="docket mb-3 rounded-b-md px-4 py-3">
              <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
                <label className="flex min-h-8 items-center gap-2.5">
                  <input
                    type="checkbox"
                    className="size-5 accent-ink"
                    checked={picked.includes(revision.number)}
                    onChange={() => pick(revision.number)}
                  />
                  <span>
                    <strong>Revision {revision.number}</strong>{' '}
                    <span className="text-sm text-soft">{time.dayAndClock(revision.savedAtMs)}</span>
                    {revision.number === head && (
                      <span className="ml-2 text-sm font-semibold">as it is now</span>
                    )}
                  </span>
                </label>
                <span className="flex gap-1.5">
                  <Button look="quiet" onClick={() => void branchFrom(revision.number)}>
                    <GitBranch size={15} aria-hidden /> Branch from here
                  </Button>
                  {revision.number !== head && (
                    <Button onClick={() => void restore(revision)}>Bring back</Button>
                  )}
                </span>
              </div>
              <div className="mt-1">
                {before ? (
                  <Turns from={before.formula} to={revision.formula} />
                ) : (
                  <p className="text-soft">
                    {revision.number === 1 ? 'How it began.' : 'What came before is further down.'}
                  </p>
                )}
              </div>
              {branches.map((branch) => (
                <p key={branch.id} className="mt-1 text-sm">
                  <GitBranch size={14} aria-hidden className="mr-1 inline" />
                  <Link href={`/formulas/${branch.id}`} className="text-link underline">
                    {branch.name}
                  </Link>{' '}
                  branched off here
                </p>
              ))}
            </li>
          );
        })}
      </ol>
      {oldest > 1 && revisions.length >= page && <Button onClick={() => void more()}>Older ones</Button>}
    </>
  );
}
