import { SCORE_NAMES, type Outcome } from '@/core/bake';
import { cx } from '@/ui/cx';

/** Four marks as four columns of five; a dash where the baker left one open. The figures are read out. */
export function ScoreMarks({ scores, large = false }: { scores: Outcome['scores']; large?: boolean }) {
  return (
    <ul className={cx('flex', large ? 'gap-6' : 'gap-3')}>
      {SCORE_NAMES.map((name) => {
        const score = scores[name];
        return (
          <li key={name} className="text-center">
            <span aria-hidden className="flex flex-col-reverse gap-px">
              {[1, 2, 3, 4, 5].map((step) => (
                <span
                  key={step}
                  className={cx(
                    large ? 'h-2 w-12' : 'h-1 w-9',
                    score !== null && step <= score ? 'bg-ink' : 'bg-rule',
                  )}
                />
              ))}
            </span>
            <span className={cx('block text-soft', large ? 'mt-1 text-sm' : 'text-xs')}>
              {name} <strong className="text-ink">{score ?? '–'}</strong>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
