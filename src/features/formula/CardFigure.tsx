import type { ReactNode } from 'react';

/** One figure of the answer card: large, its word beneath it. */
export function CardFigure({
  word,
  figure,
  testId,
  say,
}: {
  word: ReactNode;
  figure: string;
  testId: string;
  say?: string | undefined;
}) {
  return (
    <div className="flex min-w-0 flex-col-reverse justify-end">
      <dt className="text-sm text-soft">
        {word}
        {say && <span className="max-lg:hidden"> {say}</span>}
      </dt>
      <dd className="figure text-xl lg:text-2xl" data-testid={testId}>
        {figure}
      </dd>
    </div>
  );
}
