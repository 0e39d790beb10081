import type { ReactNode } from 'react';

/** The sum behind a figure, one tap away. */
export function Why({ children, word = 'why?' }: { children: ReactNode; word?: string }) {
  return (
    <details className="text-xs text-soft">
      <summary className="inline-flex min-h-6 items-center font-semibold underline decoration-dotted underline-offset-4">
        {word}
      </summary>
      <div className="mt-1 space-y-1">{children}</div>
    </details>
  );
}

/** One answer of the sheet: its word, its figure, and what belongs to it. */
export function AnswerRow({
  word,
  figure,
  testId,
  children,
}: {
  word: ReactNode;
  figure?: string;
  testId?: string;
  children?: ReactNode;
}) {
  return (
    <div className="border-t border-rule py-2.5">
      <div className="flex items-baseline justify-between gap-3">
        <span className="text-sm">{word}</span>
        {figure && (
          <span className="figure text-xl whitespace-nowrap" data-testid={testId}>
            {figure}
          </span>
        )}
      </div>
      {children}
    </div>
  );
}
