import type { ReactNode } from 'react';
import { cx } from '@/ui/cx';

/** One figure of the answer card: large, its word beneath it. */
export function CardFigure({
  word,
  figure,
  testId,
  say,
  range = false,
}: {
  word: ReactNode;
  figure: string;
  testId: string;
  say?: string | undefined;
  /** A range takes more room than a figure. */
  range?: boolean;
}) {
  return (
    <div className="flex min-w-0 flex-col-reverse justify-end">
      <dt className="text-sm text-soft">
        {word}
        {say && <span className="max-lg:hidden"> {say}</span>}
      </dt>
      <dd className={cx('figure text-xl', !range && 'lg:text-2xl')} data-testid={testId}>
        {figure}
      </dd>
    </div>
  );
}
