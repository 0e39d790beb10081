'use client';
import { ArrowLeft, GitBranch } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { SCORE_NAMES } from '@/core/bake';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import type { Branch, Revision, Story } from './story';
import { Turns } from './Turns';
import { useStoryActions } from './useStoryActions';
import { words } from '@/wording/screens/story/StoryPage';

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
  const [revisions, setRevisions] = useState(story.revisions);
  const [picked, setPicked] = useState<readonly number[]>([]);
  const { trouble, olderThan, branchFrom, restore } = useStoryActions({ formulaId, name, head });
  const oldest = revisions.at(-1)?.number ?? 1;
  const [newer, older] = [...picked]
    .sort((a, b) => b - a)
    .map((number) => revisions.find((each) => each.number === number));

  const more = async () => {
    const further = await olderThan(oldest);
    setRevisions((before) => [...before, ...further]);
  };
  const pick = (number: number) =>
    setPicked((before) =>
      before.includes(number) ? before.filter((each) => each !== number) : [...before, number].slice(-2),
    );

  return (
    <>
      <KitchenLink
        href={`/formulas/${formulaId}`}
        className="inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.theFormula}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{words.historyOf(name)}</h1>
      <p className="mb-4 text-soft">
        {story.branch ? (
          <>
            {words.itBeganAsA}
            <KitchenLink href={`/formulas/${story.branch.id}/story`} className="text-link underline">
              {story.branch.name}
            </KitchenLink>
            {words.atVersion(story.branch.revision)}
          </>
        ) : (
          words.everyVersionAndWhat
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
      <Compared newer={newer} older={older} />
      <ol className="max-w-4xl">
        {revisions.map((revision, index) => {
          const before = revisions[index + 1];
          const branches = story.branches.filter((branch) => branch.revision === revision.number);
          return (
            <RevisionItem
              key={revision.number}
              formulaId={formulaId}
              revision={revision}
              before={before}
              branches={branches}
              newest={revision.number === head}
              picked={picked.includes(revision.number)}
              onPick={() => pick(revision.number)}
              onBranch={() => void branchFrom(revision.number)}
              onRestore={() => void restore(revision)}
            />
          );
        })}
      </ol>
      {story.moreBranches > 0 && (
        <p className="mb-3 text-sm text-soft">
          {words.olderNotListedHereFind(
            story.moreBranches,
            story.moreBranches === 1 ? words.copyIs : words.copiesAre,
          )}
        </p>
      )}
      {oldest > 1 && revisions.length >= page && (
        <Button onClick={() => void more()}>{words.olderOnes}</Button>
      )}
    </>
  );
}

interface RevisionItemProps {
  formulaId: string;
  revision: Revision;
  before: Revision | undefined;
  branches: readonly Branch[];
  newest: boolean;
  picked: boolean;
  onPick: () => void;
  onBranch: () => void;
  onRestore: () => void;
}

function RevisionItem({
  formulaId,
  revision,
  before,
  branches,
  newest,
  picked,
  onPick,
  onBranch,
  onRestore,
}: RevisionItemProps) {
  const time = useKitchenTime();
  return (
    <li className="docket mb-3 rounded-b-md px-4 py-3">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <label className="flex min-h-8 items-center gap-2.5">
          <input type="checkbox" className="size-5 accent-ink" checked={picked} onChange={onPick} />
          <span>
            <strong>{words.version(revision.number)}</strong>{' '}
            <span className="text-sm text-soft">{time.dayAndClock(revision.savedAtMs)}</span>
            {newest && <span className="ml-2 text-sm font-semibold">{words.asItIsNow}</span>}
          </span>
        </label>
        <span className="flex gap-1.5">
          <Button look="quiet" onClick={onBranch}>
            <GitBranch size={15} aria-hidden />
            {words.makeACopyFrom}
          </Button>
          {!newest && <Button onClick={onRestore}>{words.restore}</Button>}
        </span>
      </div>
      <div className="mt-1">
        {before ? (
          <Turns from={before.formula} to={revision.formula} />
        ) : (
          <p className="text-soft">
            {revision.number === 1 ? words.howItBegan : words.whatCameBeforeIsFurther}
          </p>
        )}
      </div>
      <Baked formulaId={formulaId} baked={revision.baked} />
      {branches.map((branch) => (
        <p key={branch.id} className="mt-1 text-sm">
          <GitBranch size={14} aria-hidden className="mr-1 inline" />
          <KitchenLink href={`/formulas/${branch.id}`} className="text-link underline">
            {branch.name}
          </KitchenLink>
          {words.wasCopiedFromHere}
        </p>
      ))}
    </li>
  );
}

/** What came of a version at the bench: scores as they were given, in the mean. */
function Baked({ formulaId, baked }: { formulaId: string; baked: Revision['baked'] }) {
  const numbers = useNumbers();
  if (!baked) return null;
  const given = SCORE_NAMES.filter((name) => baked[name] !== null);
  return (
    <p className="mt-1 text-sm" data-testid="baked">
      <KitchenLink href={`/logbook?formula=${formulaId}`} className="text-link underline">
        {words.bakedTimes(baked.bakes)}
      </KitchenLink>
      {given.map((name) => (
        <span key={name}>
          {', '}
          {name} <strong className="figure">{numbers.decimal(baked[name] ?? 0, 1)}</strong>
        </span>
      ))}
    </p>
  );
}

/** From the older of two states to the newer; it is there to be read out even before two are ticked. */
function Compared({ newer, older }: { newer: Revision | undefined; older: Revision | undefined }) {
  const time = useKitchenTime();
  return (
    <section
      aria-label={words.twoCompared}
      aria-live="polite"
      className={cx(
        'docket sticky top-16 z-10 mb-4 max-w-4xl rounded-b-md px-4 py-3',
        !(newer && older) && 'hidden',
      )}
    >
      {newer && older && (
        <>
          <p className="mb-1 text-sm text-soft">
            {words.fromVersionTo(
              older.number,
              time.dayAndClock(older.savedAtMs),
              newer.number,
              time.dayAndClock(newer.savedAtMs),
            )}
          </p>
          <Turns from={older.formula} to={newer.formula} />
        </>
      )}
    </section>
  );
}
