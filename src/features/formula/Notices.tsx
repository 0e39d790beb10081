'use client';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import type { Formula } from '@/core/formula';
import type { Notice } from '@/core/notices';
import { useNameOf } from '../book/BookProvider';
import { wordNotice } from '@/wording/notices';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/formula/Notices';

const FIRST = 3;

interface NoticesProps {
  notices: readonly Notice[];
  /** What the sheet counts as 100 %; here it is the flours. */
  base?: Formula['percentBase'];
}

/** What the sheet has to say about itself, most important first; the rest one press away. */
export function Notices({ notices, base = 'flours' }: NoticesProps) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const [all, setAll] = useState(false);
  if (notices.length === 0) return null;
  const shown = all ? notices : notices.slice(0, FIRST);
  return (
    <section aria-labelledby="worth-checking" className="mb-4 border-b border-rule pb-3">
      <h2 id="worth-checking" className="scroll-mt-40 text-base">
        {words.worthChecking}
      </h2>
      <ul className="mt-1 space-y-1.5 text-sm">
        {shown.map((notice, index) => (
          <li key={`${notice.code}${index}`} className="flex gap-2">
            {notice.rank >= 55 ? (
              <TriangleAlert size={16} aria-label={words.important} className="mt-0.5 shrink-0 text-alarm" />
            ) : (
              <span aria-hidden className="mt-2 size-1.5 shrink-0 rounded-full bg-soft" />
            )}
            <span>{numbers.mark(wordNotice(notice, nameOf))}</span>
          </li>
        ))}
      </ul>
      {base !== 'flours' && <p className="mt-1 text-xs text-soft">{words.ofTheFlours}</p>}
      {notices.length > FIRST && (
        <button
          type="button"
          aria-expanded={all}
          onClick={() => setAll(!all)}
          className="mt-1 min-h-8 text-sm font-semibold text-soft underline decoration-dotted underline-offset-4"
        >
          {all ? words.fewer : words.more(notices.length - FIRST)}
        </button>
      )}
    </section>
  );
}
