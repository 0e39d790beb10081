import { connection } from 'next/server';
import { notFound } from 'next/navigation';
import { EmptyKey } from './EmptyKey';

/** What ./crumb bench holds every page against: next to nothing, in the same frame. Not there in everyday running. */
export default async function EmptyPage() {
  await connection();
  if (process.env.CRUMB_BENCH !== '1') notFound();
  return (
    <p>
      .<EmptyKey />
    </p>
  );
}
