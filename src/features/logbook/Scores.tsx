import { SCORE_NAMES, type Outcome } from '@/core/bake';

/** Five steps, the lowest at the bottom; those reached in ink. One picture for each number, drawn by the style sheet. */
const STEPS = ['score-0', 'score-1', 'score-2', 'score-3', 'score-4', 'score-5'] as const;

/** Four scores as four columns of five; a dash where the baker left one open. The figures are read out. */
export function Scores({ scores, large = false }: { scores: Outcome['scores']; large?: boolean }) {
  return (
    <ul className={large ? 'flex gap-6' : 'flex gap-3'}>
      {SCORE_NAMES.map((name) => {
        const score = scores[name];
        return (
          <li key={name} className="text-center">
            <span
              aria-hidden
              className={`score mx-auto block ${STEPS[score ?? 0]} ${large ? 'h-11 w-12' : 'h-6 w-9'}`}
            />
            <span className={large ? 'mt-1 block text-sm text-soft' : 'block text-xs text-soft'}>
              {name} <strong className="text-ink">{score ?? '–'}</strong>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
