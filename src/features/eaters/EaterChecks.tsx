'use client';
import { CircleSlash2, Search } from 'lucide-react';
import { useMemo } from 'react';
import { checkEaters, type EaterCheck } from '@/core/eaters';
import type { Formula } from '@/core/formula';
import { cx } from '@/ui/cx';
import { useBook, useNameOf } from '../book/BookProvider';
import { useEaters } from '../kitchen/KitchenProvider';
import { wordReason } from '@/wording/eaters';
import { words } from '@/wording/screens/eaters/EaterChecks';

type Stages = Pick<Formula, 'stages'>['stages'];

/** What each eater of this kitchen has to know of what is in these parts. */
function useEaterChecks(stages: Stages): readonly EaterCheck[] {
  const eaters = useEaters();
  const book = useBook();
  return useMemo(() => checkEaters({ stages }, book, eaters), [stages, book, eaters]);
}

/** For whom it is not, for whom only after a look at the labels, and against whom nothing was found. Nobody is told that it is safe. */
export function EaterChecks({
  stages,
  brief = false,
  className,
}: {
  stages: Stages;
  /** Only those that it is not for, or who have to look; the reasons on wide screens. */
  brief?: boolean;
  className?: string;
}) {
  const checks = useEaterChecks(stages);
  const nameOf = useNameOf();
  if (checks.length === 0) return null;
  const names = (ids: readonly string[]) => ids.map((id) => nameOf(id).toLowerCase()).join(', ');
  const told = checks
    .filter(({ verdict }) => verdict !== 'nothingFound')
    .sort((a, b) => Number(b.verdict === 'no') - Number(a.verdict === 'no'));
  const looking = told.filter(({ verdict }) => verdict === 'look');
  const rest = checks.filter(({ verdict }) => verdict === 'nothingFound');
  return (
    <section aria-label={words.whoEatsIt} className={className} data-testid="eaters">
      <ul className={cx('text-sm', brief ? 'flex flex-wrap gap-x-4 lg:block lg:space-y-1' : 'space-y-1')}>
        {told.map(({ eater, verdict, reasons }) => {
          const no = verdict === 'no';
          const shown = no ? reasons.filter(({ why }) => why === 'holds') : reasons;
          return (
            <li
              key={eater.id}
              // where room is scarce those who only have to look stand together in one line
              className={cx('flex items-start gap-2', brief && !no && 'max-lg:hidden')}
            >
              {no ? (
                <CircleSlash2 size={17} aria-hidden className="mt-0.5 shrink-0 text-alarm" />
              ) : (
                <Search size={17} aria-hidden className="mt-0.5 shrink-0 text-soft" />
              )}
              <span>
                <strong className={no ? 'text-alarm' : ''}>
                  {no ? words.notFor : words.lookFirst} {eater.name}
                </strong>
                <span className={brief ? 'max-lg:sr-only' : ''}>
                  {': '}
                  {shown.map((reason) => wordReason(reason, names(reason.ingredientIds))).join('; ')}.
                </span>
              </span>
            </li>
          );
        })}
        {rest.length > 0 && !brief && (
          <li className="text-soft">
            {words.nothingFoundAgainstTheLabels(rest.map(({ eater }) => eater.name).join(', '))}
          </li>
        )}
      </ul>
      {brief && looking.length > 0 && (
        <p className="truncate text-sm lg:hidden">
          <strong>{words.lookFirst}</strong> {looking.map(({ eater }) => eater.name).join(' · ')}
        </p>
      )}
    </section>
  );
}
