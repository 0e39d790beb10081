'use client';
import { storyOf } from '@/core/story';
import type { Formula } from '@/core/formula';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { wordTurn } from '@/wording/story';
import { words } from '@/wording/screens/story/Turns';

/** What changed between two states of a formula, told in one breath; the first thing told is the first thing to know. */
export function Turns({ from, to }: { from: Formula; to: Formula }) {
  const numbers = useNumbers();
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  const turns = storyOf(from, to, book);
  if (turns.length === 0) return <p className="text-soft">{words.noDifference}</p>;
  return (
    <ul className="flex flex-wrap gap-x-1 leading-relaxed">
      {turns.map((turn, index) => (
        <li
          key={index}
          className={
            turn.kind === 'share' || turn.kind === 'came' || turn.kind === 'went'
              ? 'font-semibold'
              : 'text-soft'
          }
        >
          {numbers.mark(wordTurn(turn, { nameOf, mass: units.mass, temperature: units.temperature }))}
          {index < turns.length - 1 && <span aria-hidden> ·</span>}
        </li>
      ))}
    </ul>
  );
}
