'use client';
import { ArrowLeft } from 'lucide-react';
import dynamic from 'next/dynamic';
import type { GoesWith, Made } from '@/core/record';
import { formatDuration } from '@/core/units';
import { buttonClass } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/patterns/PatternsPage';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

const ScoredPoints = dynamic(
  patiently(() => import('./ScoredPoints').then((module) => module.ScoredPoints)),
  { ssr: false },
);

interface PatternsPageProps {
  readonly bakes: number;
  readonly scored: number;
  readonly found: readonly GoesWith[];
  /** Only of this formula. */
  readonly formula: string | null;
  /** Formulas with scored bakes, the most first: breads are told apart, or a pizza's heat would go with a pizza's scores. */
  readonly groups: readonly { readonly formulaId: string; readonly name: string; readonly scored: number }[];
}

/** What goes with better scores here: figure by figure the two halves of its bakes, with how many they are and how sure that is. */
export function PatternsPage({ bakes, scored, found, formula, groups }: PatternsPageProps) {
  const [first] = found;
  const say = useFigureWords();
  return (
    <>
      <KitchenLink href="/logbook" className="no-print inline-flex min-h-6 items-center gap-1 text-sm text-link underline">
        <ArrowLeft size={15} aria-hidden />
        {words.theLogbook}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{words.title}</h1>
      <p className="max-w-prose text-soft">
        {formula !== null && words.of(formula)} {words.looked(scored, bakes)}
      </p>
      {formula === null && (
        <>
          <p className="mt-3">{words.ofOne}</p>
          <ul className="mt-1 flex flex-wrap gap-3">
            {groups.map((group) => (
              <li key={group.formulaId}>
                <KitchenLink href={`/logbook/patterns?formula=${group.formulaId}`} className={buttonClass('plain')}>
                  {words.group(group.name, group.scored)}
                </KitchenLink>
              </li>
            ))}
          </ul>
          <h2 className="mt-5 text-xl">{words.overAll}</h2>
          <p className="max-w-prose text-soft">{words.overAllHint}</p>
        </>
      )}
      {!first ? (
        <p className="docket mt-4 p-6">{words.few}</p>
      ) : (
        <div className="docket mt-4 rounded-b-md px-5 pt-4 pb-5">
          <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={words.title}>
            <table className="w-full border-collapse text-sm">
              <thead>
                <tr className="text-right text-soft">
                  <th scope="col" className="py-1 text-left font-semibold">
                    {words.figure}
                  </th>
                  {[words.lower, words.upper, words.difference, words.eightOfTen].map((head) => (
                    <th key={head} scope="col" className="py-1 pl-3 font-semibold">
                      {head}
                    </th>
                  ))}
                  <td />
                </tr>
              </thead>
              <tbody>
                {found.map((row) => (
                  <Row key={row.figure} row={row} />
                ))}
              </tbody>
            </table>
          </div>
          <p className="mt-3 max-w-prose text-sm text-soft">{words.mind}</p>
          <ScoredPoints row={first} name={words.made[first.figure]} say={(value) => say(first.figure, value)} />
        </div>
      )}
    </>
  );
} // prettier-ignore

function Row({ row }: { row: GoesWith }) {
  const numbers = useNumbers();
  const say = useFigureWords();
  const { figure, lower, upper, difference, isChance } = row;
  const signed = (value: number) => {
    const rounded = Math.round(10 * value) / 10;
    return `${rounded < 0 ? '−' : rounded > 0 ? '+' : ''}${numbers.fixed(Math.abs(rounded), 1)}`;
  };
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-1.5 text-left font-normal">
        {words.made[figure]}
      </th>
      <td className="py-1.5 pl-3 text-right">
        {words.half(numbers.fixed(lower.score, 1), lower.count)}
        <span className="block text-soft">{words.upTo(say(figure, lower.upTo))}</span>
      </td>
      <td className="py-1.5 pl-3 text-right">
        {words.half(numbers.fixed(upper.score, 1), upper.count)}
        <span className="block text-soft">{words.from(say(figure, upper.from))}</span>
      </td>
      <td className="figure py-1.5 pl-3 text-right text-xl">{signed(difference.value)}</td>
      <td className="py-1.5 pl-3 text-right text-soft">{`${signed(difference.low)} … ${signed(difference.high)}`}</td>
      <td className="py-1.5 pl-3 text-right">{isChance ? <span className="text-soft">{words.chance}</span> : <strong>{words.worthALook}</strong>}</td>
    </tr>
  );
} // prettier-ignore

function useFigureWords() {
  const numbers = useNumbers();
  const units = useUnits();
  return (figure: Made, value: number): string => {
    switch (figure) {
      case 'hydrationPercent':
        return numbers.percent(value, 1);
      case 'saltPercent':
      case 'binderPercent':
      case 'yeastPercent':
        return numbers.percent(value, 2);
      case 'pieceDoughG':
        return units.mass(value);
      case 'roomC':
      case 'doughC':
      case 'heatC':
        return units.temperature(value);
      default:
        return formatDuration(60 * Math.round(value));
    }
  };
}
