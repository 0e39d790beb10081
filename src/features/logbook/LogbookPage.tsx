'use client';
import type { BakeRecord } from '@/core/bake';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { buttonClass } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { BakeCard } from './BakeCard';

interface LogbookPageProps {
  bakes: readonly BakeRecord[];
  formulas: readonly { readonly id: string; readonly name: string }[];
  chosen: string | null;
  /** Address of the next, older page; null on the last. */
  older: string | null;
}

/** Every bake that is over, newest first. */
export function LogbookPage({ bakes, formulas, chosen, older }: LogbookPageProps) {
  const router = useRouter();
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Logbook</h1>
        <Choice
          label="Which formula"
          value={chosen ?? ''}
          onChange={(id) => router.push(id ? `/logbook?formula=${id}` : '/logbook')}
          options={[
            { value: '', label: 'All formulas' },
            ...formulas.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          className="min-h-10 border-edge bg-sheet px-2"
        />
      </div>
      {bakes.length === 0 ? (
        <p className="docket p-6 text-soft">
          Nothing here yet. Every bake that is closed at the bench is kept in this book, with what was planned
          and what was done.
        </p>
      ) : (
        <div className="docket rounded-b-md pb-1">
          {bakes.map((bake) => (
            <BakeCard key={bake.id} bake={bake} />
          ))}
        </div>
      )}
      {older && (
        <Link href={older} className={buttonClass('plain', 'table', 'mt-4')}>
          Older bakes
        </Link>
      )}
    </>
  );
}
