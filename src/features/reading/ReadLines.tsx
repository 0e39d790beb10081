'use client';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { LINE_ROLES, type LineRole, type RecipeReading } from '@/core/recipe';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { words } from '@/wording/screens/reading/ReadLines';

const OPTIONS = LINE_ROLES.map((value) => ({ value, label: words.roles[value] }));

interface ReadLinesProps {
  reading: RecipeReading;
  /** What a file says that a formula has no place for. */
  left: readonly string[];
  onDeclare: ((number: number, role: LineRole) => void) | null;
}

/** What is saved in the text about it; and every line with what it was taken for, to be said otherwise. */
export function ReadLines({ reading, left, onDeclare }: ReadLinesProps) {
  const [open, setOpen] = useState(false);
  const others = reading.lines.filter(({ role }) => role === 'note' || role === 'yield');
  return (
    <>
      {(others.length > 0 || left.length > 0) && (
        <section className="mt-4 text-sm">
          <h3 className="text-sm text-soft">{words.savedInAboutIt}</h3>
          {others.map((line) => (
            <p key={line.number} className="border-t border-rule py-1">
              {line.text}
            </p>
          ))}
          {left.length > 0 && (
            <p className="border-t border-rule py-1 text-soft">{words.theFileAlsoSaysA(left.join(', '))}</p>
          )}
        </section>
      )}
      {onDeclare && reading.lines.length > 0 && (
        <section className="mt-4 text-sm">
          <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? <ChevronDown size={15} aria-hidden /> : <ChevronRight size={15} aria-hidden />}
            {words.everyLine}
          </Button>
          {open && (
            <ul>
              {reading.lines.map(({ number, text, role }) => (
                <li
                  key={number}
                  className="flex items-center justify-between gap-3 border-t border-rule py-1"
                >
                  <span className="min-w-0 truncate">{text}</span>
                  <Choice
                    label={words.lineIs(number)}
                    value={role}
                    options={OPTIONS}
                    onChange={(next) => onDeclare(number, next)}
                    className="border-edge"
                  />
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
    </>
  );
}
