'use client';
import type { TellApart as Told } from '@/core/diagnosis';
import { CAUSE_WORD } from '@/wording/diagnosis';
import { words } from '@/wording/screens/advice/NextChange';
import { useSignWords } from './useSignWords';

/** What to look at to tell the two likeliest causes apart. */
export function TellApart({ tell }: { tell: Told }) {
  const signs = useSignWords();
  const [first, second] = tell.between.map((cause) => CAUSE_WORD[cause].name.toLowerCase());
  const [one, other] = tell.expected.map((value) => signs.value(tell.sign, value));
  return (
    <p className="mt-3 rounded border border-edge bg-surface px-3 py-2 text-sm">
      <strong>{words.toTellApart}: </strong>
      {words.moreOf(signs.name(tell.sign), one ?? '', first ?? '', other ?? '', second ?? '')}
    </p>
  );
}
