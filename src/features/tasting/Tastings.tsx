'use client';
import { Link2, Utensils } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { BakeAction, BakeState, TakenTasting } from '@/core/bake';
import { OCCASIONS, pooled, QUESTIONS, type Occasion } from '@/core/tasting';
import type { Problem } from '@/core/result';
import type { Ladder } from '@/core/trial';
import { Button, buttonClass } from '@/ui/Button';
import { useTwice } from '@/ui/useTwice';
import { patiently } from '@/ui/patiently';
import { KitchenLink, useMay } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { OCCASION_WORD, QUESTION_WORDS } from '@/wording/tasting';
import { words } from '@/wording/screens/tasting/Tastings';

const TasteLinks = dynamic(
  patiently(() => import('./TasteLinks').then((module) => module.TasteLinks)),
  { ssr: false },
);

interface TastingsProps {
  readonly bakeId: string;
  /** Its breads are told apart by their codes, and not taken together: what they say together the ladder shows. */
  readonly ladder?: Ladder | undefined;
  readonly state: BakeState;
  readonly tap: (action: BakeAction) => Problem | null;
}

/** What tasters said of a bake, together and each by themselves. */
export function Tastings({ bakeId, ladder, state, tap }: TastingsProps) {
  const may = useMay();
  const [isLinking, setIsLinking] = useState(false);
  const cards = [...state.tastings];
  const occasions = OCCASIONS.filter((occasion) => !ladder && cards.some(([, card]) => card.occasion === occasion));
  return (
    <section aria-labelledby="tastings-title" className="docket rounded-b-md px-5 pt-4 pb-5" data-testid="tastings">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="tastings-title" className="text-xl">
          {words.tasted}
        </h2>
        <span className="flex flex-wrap gap-2">
          {may === 'all' && (
            <Button className="no-print min-h-10" onClick={() => setIsLinking(true)}>
              <Link2 size={17} aria-hidden />
              {words.aLink}
            </Button>
          )}
          <KitchenLink href={`/logbook/${bakeId}/taste`} className={buttonClass('plain', 'table', 'no-print min-h-10')}>
            <Utensils size={17} aria-hidden />
            {words.tasteIt}
          </KitchenLink>
        </span>
      </div>
      {cards.length === 0 ? (
        <p className="mt-2 text-soft">{words.nobodyYet}</p>
      ) : (
        <>
          {occasions.map((occasion) => (
            <Together key={occasion} occasion={occasion} cards={cards.map(([, card]) => card)} />
          ))}
          <ul className="mt-3">
            {cards.map(([id, card]) => (
              <Card key={id} code={ladder?.rungs.find((rung) => rung.id === card.rungId)?.code} bakeId={bakeId} id={id} card={card} onTakeBack={() => tap({ type: 'tastingTakenBack', tastingId: id })} />
            ))}
          </ul>
        </>
      )}
      {isLinking && <TasteLinks bakeId={bakeId} onClose={() => setIsLinking(false)} />}
    </section>
  );
} // prettier-ignore

function Together({ occasion, cards }: { occasion: Occasion; cards: readonly TakenTasting[] }) {
  const numbers = useNumbers();
  const together = pooled(cards, { occasion });
  const asked = QUESTIONS.filter(({ id }) => together.has(id));
  if (asked.length === 0) return null;
  const count = cards.filter((card) => card.occasion === occasion).length;
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="pb-1 text-left font-semibold">
        {OCCASION_WORD[occasion]}, {words.cards(count)}
      </caption>
      <tbody>
        {asked.map(({ id, best }) => {
          const all = together.get(id);
          if (!all) return null;
          const apart = all.spread !== null && all.spread > 0 && words.apart(numbers.decimal(all.spread, 1));
          return (
            <tr key={id} className="border-t border-rule align-baseline">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {QUESTION_WORDS[id].name}
              </th>
              <td className="figure w-12 py-1 text-right text-lg">{numbers.decimal(all.mean, 1)}</td>
              <td className="py-1 pl-3">
                {QUESTION_WORDS[id].steps[Math.round(all.mean) - 1]}
                {best !== null && Math.abs(all.mean - best) >= 1.5 && (
                  <strong className="text-alarm"> {words.farOff}</strong>
                )}
                {apart && <span className="text-soft sm:hidden"> {apart}</span>}
              </td>
              <td className="py-1 text-right whitespace-nowrap text-soft max-sm:hidden">{apart}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface CardProps {
  code: string | undefined;
  bakeId: string;
  id: string;
  card: TakenTasting;
  onTakeBack: () => void;
}

function Card({ code, bakeId, id, card, onTakeBack }: CardProps) {
  const time = useKitchenTime();
  const sure = useTwice();
  const { taster, occasion, words: inWords, atMs, before } = card;
  return (
    <li className="border-t border-rule py-2 text-sm">
      <div className="flex flex-wrap items-center gap-x-3">
        <span className="min-w-0 flex-1">
          <strong>{taster ?? words.somebody}</strong> {code !== undefined && <span className="figure">{code} </span>}
          <span className="text-soft">
            {OCCASION_WORD[occasion]}, {time.dayAndClock(atMs)}
          </span>
        </span>
        <KitchenLink
          href={`/logbook/${bakeId}/taste?card=${id}`}
          className={buttonClass('quiet', 'table', 'no-print')}
        >
          {words.putRight}
        </KitchenLink>
        <Button look="quiet" className="no-print" onClick={() => sure.press() && onTakeBack()}>
          {sure.asked ? words.yesTakeBack : words.takeBack}
        </Button>
      </div>
      {inWords && <p className="whitespace-pre-line">{inWords}</p>}
      {before.map((earlier) => (
        <p key={earlier.atMs} className="text-soft">
          {words.before(
            time.dayAndClock(earlier.atMs),
            QUESTIONS.filter(
              ({ id: question }) => earlier.scores[question] !== card.scores[question] && earlier.scores[question],
            ).map(({ id: question }) => `${QUESTION_WORDS[question].name} ${earlier.scores[question]}`).join(', '),
          )}
        </p>
      ))}
    </li>
  );
} // prettier-ignore
