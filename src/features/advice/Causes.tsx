'use client';
import type { Explanation } from '@/core/advice';
import type { Advised } from '@/core/diagnosis';
import { Button } from '@/ui/Button';
import { CAUSE_WORD } from '@/wording/diagnosis';
import { words } from '@/wording/screens/advice/NextChange';
import { useMay } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { useSignWords } from './useSignWords';

interface CausesProps {
  readonly likely: Advised['likely'];
  readonly seen: Advised['seen'];
  /** What it was, by whoever baked it. */
  readonly told: Explanation | null;
  readonly onTell: (cause: Explanation | null) => void;
}

const MOST = 4;
const MOST_SIGNS = 3;

/** What may have happened, each with how likely it is and what speaks for it; one press says which it was. */
export function Causes({ likely, seen, told, onTell }: CausesProps) {
  const numbers = useNumbers();
  const signs = useSignWords();
  const may = useMay();
  const bySign = new Map(seen.map((each) => [each.sign, each]));
  return (
    <div className="mt-4 border-t-2 border-ink pt-3">
      <h3 className="text-lg">{words.likely}</h3>
      <ol className="mt-1">
        {likely.slice(0, MOST).map(({ cause, probability, because }) => (
          <li key={cause} className="border-t border-rule py-2 first:border-0">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <span className="figure w-16 text-2xl whitespace-nowrap">{`${numbers.decimal(100 * probability, 0)} %`}</span>
              <span className="min-w-0 flex-[1_1_14rem]">
                <strong>{CAUSE_WORD[cause].name}</strong>
                <span className="block text-sm text-soft">{CAUSE_WORD[cause].how}</span>
                {because.length > 0 && (
                  <span className="block text-sm">
                    {words.speaksFor}:{' '}
                    {because
                      .slice(0, MOST_SIGNS)
                      .flatMap(({ sign }) => {
                        const found = bySign.get(sign);
                        return found
                          ? [`${signs.name(sign)} ${words.notExpected(signs.value(sign, found.value), signs.value(sign, found.expected))}`]
                          : [];
                      })
                      .join(' · ')}
                  </span>
                )}
              </span>
              {told === cause ? (
                <span className="text-sm font-semibold max-sm:ml-auto">
                  {words.itWasThis}{' '}
                  <Button look="quiet" className="no-print" onClick={() => onTell(null)}>
                    {words.takeBack}
                  </Button>
                </span>
              ) : (
                may === 'all' && (
                  <Button look="quiet" className="no-print min-h-10 max-sm:ml-auto" onClick={() => onTell(cause)}>
                    {words.thisIsIt}
                  </Button>
                )
              )}
            </div>
            <div aria-hidden className="mt-1 h-1.5 rounded bg-rule">
              <div className="h-full rounded bg-ink" style={{ width: `${100 * probability}%` }} />
            </div>
          </li>
        ))}
      </ol>
    </div>
  );
} // prettier-ignore
