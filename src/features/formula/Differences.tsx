'use client';
import type { Difference } from '@/core/formula';
import { never } from '@/core/result';
import { useNameOf } from '../book/BookProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/formula/Differences';

/** What changed, a line each, from the first state to the second. */
export function Differences({ differences }: { differences: readonly Difference[] }) {
  const units = useUnits();
  const nameOf = useNameOf();
  const word = (difference: Difference): string => {
    switch (difference.kind) {
      case 'name':
        return words.name(difference.from, difference.to);
      case 'mass':
        return `${nameOf(difference.ingredientId)}: ${units.mass(difference.fromG)} → ${units.mass(difference.toG)}`;
      case 'swapped':
        return `${nameOf(difference.fromId)} ${units.mass(difference.fromG)} → ${nameOf(difference.toId)} ${units.mass(difference.toG)}`;
      case 'added':
        return words.added(nameOf(difference.ingredientId), units.mass(difference.massG));
      case 'removed':
        return words.removed(nameOf(difference.ingredientId), units.mass(difference.massG));
      case 'method': {
        const { changed, added, removed } = difference;
        const parts = [
          changed && words.changed(changed),
          added && words.newWord(added),
          removed && words.stepsRemoved(removed),
        ].filter(Boolean);
        return words.method(parts.length > 0 ? parts.join(', ') : words.anotherOrder);
      }
      case 'other':
        return words.orderNotesOrUsualYield;
      default:
        return never(difference);
    }
  };
  if (differences.length === 0) return <p className="text-sm text-soft">{words.noDifference}</p>;
  return (
    <ul className="text-sm">
      {differences.map((difference, index) => (
        <li key={index} className="border-t border-rule py-1">
          {word(difference)}
        </li>
      ))}
    </ul>
  );
}
