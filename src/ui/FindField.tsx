import { Search } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { cx } from './cx';

interface FindFieldProps {
  label: string;
  /** What is being looked for as the page stands. */
  value: string;
  /** Called a moment after the last key, and at once on Enter or when the field is left. */
  onFind: (text: string) => void;
  className?: string;
}

const PAUSE_MS = 250;

/** A field for words to look for. What is typed stays while the answer is on its way. */
export function FindField({ label, value, onFind, className }: FindFieldProps) {
  const [text, setText] = useState(value);
  /** What was asked for and has not come yet, the newest last; before it what the page shows. */
  const asked = useRef([value]);
  const find = useRef(onFind);
  useEffect(() => {
    find.current = onFind;
  }, [onFind]);
  // another address, by a link or the way back: the field says what the page shows
  useEffect(() => {
    const at = asked.current.lastIndexOf(value);
    asked.current = at < 0 ? [value] : asked.current.slice(at);
    // an answer to words of before takes nothing away that was typed since
    if (at < 0) setText(value);
  }, [value]);
  const look = (words: string): void => {
    if (words === asked.current.at(-1)) return;
    asked.current.push(words);
    find.current(words);
  };
  useEffect(() => {
    const timer = setTimeout(() => look(text.trim()), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <form
      role="search"
      onSubmit={(event) => {
        event.preventDefault();
        look(text.trim());
      }}
      className={cx('relative', className)}
    >
      <Search size={17} aria-hidden className="pointer-events-none absolute top-3 left-2.5 text-soft" />
      <input
        type="search"
        name="find"
        aria-label={label}
        placeholder={label}
        maxLength={80}
        autoComplete="off"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
        // who goes on to a link goes there: asked for later, the words would bring the list back
        onBlur={() => look(text.trim())}
        className="min-h-10 w-full rounded-md border border-edge bg-surface pr-2 pl-9"
      />
    </form>
  );
}
